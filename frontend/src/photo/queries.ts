import { useMutation, useQuery } from "@tanstack/react-query";

import { body, client, useSheetChange, type Schemas, type Seen, type Sheet } from "../api";
import type { Ends } from "./edge";

export type Says = Schemas["PhotographSays"];
export type Laid = Schemas["Laid"];
export type Kept = Schemas["Photograph"];
export type Thimble = "up" | "down";

/** A photograph with what a hand set on it. */
export interface Asked {
  picture: Blob;
  edge: Ends;
  thimble: Thimble;
  /** Of a pair, the look that it shows; empty for a single one. */
  look: "" | "a" | "b" | "a2" | "b2";
}

const asBody = (picture: Blob) => ({
  body: picture as never,
  bodySerializer: (sent: unknown) => sent as Blob,
});
const typeOf = (picture: Blob) => ({ "Content-Type": picture.type || "image/jpeg" });

function queryOf({ edge: [one, other], thimble, look }: Asked) {
  return { x1: one.x, y1: one.y, x2: other.x, y2: other.y, thimble, look };
}

/** Where the edge between both scales may lie in a picture. */
export function useProposedEdge(sheet: string, instrument: string) {
  return useMutation({
    mutationFn: async (picture: Blob): Promise<Ends> => {
      const { x1, y1, x2, y2 } = await body(
        client.POST("/api/sheets/{sheet}/instruments/{instrument}/edge", {
          params: { path: { sheet, instrument } },
          headers: typeOf(picture),
          ...asBody(picture),
        }),
      );
      return [
        { x: x1, y: y1 },
        { x: x2, y: y2 },
      ];
    },
  });
}

/** What a picture says to a reading that was made; nothing is kept. */
export function useAskPhotograph(sheet: string) {
  return useMutation({
    mutationFn: ({ reading, asked }: { reading: string; asked: Asked }): Promise<Says> =>
      body(
        client.POST("/api/sheets/{sheet}/readings/{reading}/photograph", {
          params: { path: { sheet, reading }, query: queryOf(asked) },
          headers: typeOf(asked.picture),
          ...asBody(asked.picture),
        }),
      ),
  });
}

const at = (sheet: string, { id, version }: Seen) => ({
  path: { sheet, reading: id },
  headers: { "If-Match": `"${version}"` },
});

/** Keeps a picture with its reading. */
export function useKeepPhotograph(sheet: string) {
  return useSheetChange(({ seen, asked }: { seen: Seen; asked: Asked }) => {
    const { path, headers } = at(sheet, seen);
    return body(
      client.POST("/api/sheets/{sheet}/readings/{reading}/photographs", {
        params: { path, query: queryOf(asked) },
        headers: { ...headers, ...typeOf(asked.picture) },
        ...asBody(asked.picture),
      }),
    );
  });
}

/** Takes a picture away from its reading. */
export function useRemovePhotograph(sheet: string) {
  return useSheetChange(({ seen, strip }: { seen: Seen; strip: string }) => {
    const { path, headers } = at(sheet, seen);
    return body(
      client.DELETE("/api/sheets/{sheet}/readings/{reading}/photographs/{strip}", {
        params: { path: { ...path, strip } },
        headers,
      }),
    );
  });
}

/** What a picture that was kept says to its reading as it stands now. */
export function useKeptSays(sheet: string, { id, version }: Seen, strip: string) {
  return useQuery({
    queryKey: ["photograph", sheet, id, version, strip],
    queryFn: () =>
      body(
        client.GET("/api/sheets/{sheet}/readings/{reading}/photographs/{strip}", {
          params: { path: { sheet, reading: id, strip } },
        }),
      ),
    retry: false,
    staleTime: Infinity,
  });
}

/** A picture of the simulated bench, as its camera takes it. */
export function useSnapshot() {
  return useMutation({
    mutationFn: (snap: Schemas["Snap"]): Promise<Blob> =>
      body(client.POST("/api/bench/photograph", { body: snap, parseAs: "blob" })),
  });
}

/** Whether readings of a sheet have photographs, which its file alone does not hold. */
export const hasPhotographs = ({ quantities }: Sheet) =>
  quantities.some(({ photographs }) => photographs > 0);

/** Where a kept picture lies. */
export const pictureAddress = (sheet: string, name: string) =>
  `/api/sheets/${encodeURIComponent(sheet)}/pictures/${name}`;
