import type { RefObject } from "react";

interface Props {
  /** Opened by whatever button asks for a file. */
  input: RefObject<HTMLInputElement | null>;
  label: string;
  /** The sorts of files that are taken. */
  accept: string;
  /** Whether a phone opens its camera for it. */
  camera?: boolean;
  /** Whether several can be picked, or a folder with all in it. */
  many?: "files" | "folder";
  onPicked: (file: File, all: File[]) => void;
}

/** A hidden input for files; the same file can be picked again. */
export function PickedFile({ input, label, accept, camera = false, many, onPicked }: Props) {
  return (
    <input
      ref={input}
      type="file"
      hidden
      accept={accept}
      aria-label={label}
      multiple={many !== undefined}
      {...(many === "folder" ? { webkitdirectory: "" } : {})}
      {...(camera ? { capture: "environment" as const } : {})}
      onChange={(event) => {
        const all = [...(event.target.files ?? [])];
        if (all[0]) onPicked(all[0], all);
        event.target.value = "";
      }}
    />
  );
}
