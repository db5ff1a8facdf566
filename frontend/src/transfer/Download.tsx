import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import type { ReactNode } from "react";

import { fetched } from "../api";
import { saved } from "../common/saved";
import { useShowError } from "../common/useShowError";

interface DownloadProps {
  /** Where the server makes it. */
  from: string;
  children: ReactNode;
}

/** Saves what the server makes, once it holds what was typed last. */
export function useDownload() {
  const queries = useQueryClient();
  const showError = useShowError();
  const make = useMutation({
    mutationFn: async ({ from, ready }: { from: string; ready: Promise<void> }) => {
      await ready;
      keep(await fetched(from));
    },
    onError: showError,
  });
  // Begun before this becomes a change itself, which would wait for itself.
  const download = (from: string) => make.mutate({ from, ready: saved(queries) });
  return { download, busy: make.isPending };
}

/** A button that saves what the server makes. */
export function Download({ from, children }: DownloadProps) {
  const { download, busy } = useDownload();
  return (
    <Button loading={busy} onClick={() => download(from)}>
      {children}
    </Button>
  );
}

function keep({ name, content }: { name: string; content: Blob }): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  // The browser takes it up after this.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
