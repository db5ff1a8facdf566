import { useEffect, useState } from "react";

import type { Instrument } from "../api";
import { say } from "../voice";
import { acrossMiddle, type Ends, type Size } from "./edge";
import { useProposedEdge, type Thimble } from "./queries";

/** A picture that was taken, and what a hand has set on it so far. */
export interface Photo {
  picture: Blob;
  address: string;
  size: Size;
  ends: Ends;
  thimble: Thimble;
  /** Whether its edge is still being looked for. */
  seeking: boolean;
}

/** A picture from its taking on; kept while the dialog is closed, until it is let go. */
export function usePhoto(sheet: string, instrument: Instrument) {
  const [photo, setPhoto] = useState<Photo | null>(null);
  const [problem, setProblem] = useState("");
  const propose = useProposedEdge(sheet, instrument.id);
  const address = photo?.address;
  useEffect(() => {
    const url = address;
    return () => {
      if (url) URL.revokeObjectURL(url);
    };
  }, [address]);
  const change = (some: Partial<Photo>) => setPhoto((before) => before && { ...before, ...some });
  function take(picture: Blob) {
    const url = URL.createObjectURL(picture);
    const image = new Image();
    setProblem("");
    image.onerror = () => {
      URL.revokeObjectURL(url);
      setProblem(say("photo-is-none"));
    };
    image.onload = () => {
      const size = { width: image.naturalWidth, height: image.naturalHeight };
      const ends = acrossMiddle(size, instrument.traits.turns);
      const thimble = instrument.appearance.thimble_numerals;
      setPhoto({ picture, address: url, size, ends, thimble, seeking: true });
      propose.mutate(picture, {
        // What a hand has set meanwhile holds.
        onSuccess: (found) =>
          setPhoto((now) => (now?.ends === ends ? { ...now, ends: found } : now)),
        onSettled: () => setPhoto((now) => now && { ...now, seeking: false }),
      });
    };
    image.src = url;
  }
  return { photo, problem, take, change, drop: () => setPhoto(null) };
}
