import { say } from "../voice";

/** A file that was chosen or let go, by its path where it came in a folder. */
export interface Picked {
  path: string;
  file: File;
}

/** Files that were chosen, alone or with a folder. */
export const picked = (files: Iterable<File>): Picked[] =>
  [...files].map((file) => ({ file, path: file.webkitRelativePath || file.name }));

/** What several files are called together. */
export const called = (files: Picked[]) =>
  files.length === 1
    ? say("transfer-in-the-file", { name: files[0]?.path ?? "" })
    : say("transfer-in-files", { count: files.length });

/** Files as the body of a request: one as it is, several or one of a folder as a form. */
export function bodyOf(files: Picked[]): { name: string; sent: BodyInit } {
  const [only, ...others] = files;
  if (only && others.length === 0 && !only.path.includes("/"))
    return { name: only.path, sent: only.file };
  const sent = new FormData();
  for (const { file, path } of files) sent.append("file", file, path);
  return { name: "files", sent };
}

/** The files that were let go over the page, with all in folders among them. */
export async function letGo(transfer: DataTransfer): Promise<Picked[]> {
  // Both are only there while the event is at work.
  const alone = picked(transfer.files);
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry());
  if (entries.some((entry) => entry === null)) return alone;
  const found = await Promise.all(entries.map(async (entry) => (entry ? below(entry) : [])));
  return found.flat();
}

async function below(entry: FileSystemEntry): Promise<Picked[]> {
  const path = entry.fullPath.replace(/^\//, "");
  if (entry instanceof FileSystemFileEntry) {
    const file = await new Promise<File>((done, failed) => entry.file(done, failed));
    return [{ file, path }];
  }
  if (!(entry instanceof FileSystemDirectoryEntry)) return [];
  const reader = entry.createReader();
  const found: Picked[] = [];
  for (;;) {
    // A hundred at a time.
    const some = await new Promise<FileSystemEntry[]>((done, failed) =>
      reader.readEntries(done, failed),
    );
    if (some.length === 0) return found;
    found.push(...(await Promise.all(some.map(below))).flat());
  }
}
