import type { RefObject } from "react";

interface Props {
  /** Opened by whatever button asks for a file. */
  input: RefObject<HTMLInputElement | null>;
  label: string;
  /** The sorts of files that are taken. */
  accept: string;
  /** Whether a phone opens its camera for it. */
  camera?: boolean;
  onPicked: (file: File) => void;
}

/** A hidden input for a file; the same file can be picked again. */
export function PickedFile({ input, label, accept, camera = false, onPicked }: Props) {
  return (
    <input
      ref={input}
      type="file"
      hidden
      accept={accept}
      aria-label={label}
      {...(camera ? { capture: "environment" as const } : {})}
      onChange={(event) => {
        const picked = event.target.files?.[0];
        if (picked) onPicked(picked);
        event.target.value = "";
      }}
    />
  );
}
