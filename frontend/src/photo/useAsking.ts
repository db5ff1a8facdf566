import { useState } from "react";

import { useAmendReading, type Reading } from "../api";
import { sent } from "../outbox/useOutbox";
import { say } from "../voice";
import { useAskPhotograph, useKeepPhotograph, type Asked, type Says } from "./queries";
import type { Photo } from "./usePhoto";
import { useShowError } from "../common/useShowError";

/** What is asked of a picture, as it is set now. */
export function askedOf({ picture, ends, thimble }: Photo, look: Asked["look"]): Asked {
  return { picture, edge: ends, thimble, look };
}

/** Asks a picture once its reading is on record, and keeps it; what fails is told. */
export function useAsking(sheet: string, asked: Asked | null) {
  const showError = useShowError();
  const asking = useAskPhotograph(sheet);
  const keeping = useKeepPhotograph(sheet);
  const amend = useAmendReading(sheet);
  const [busy, setBusy] = useState(false);
  async function told<Found>(work: () => Promise<Found>): Promise<Found | null> {
    setBusy(true);
    try {
      return await work();
    } catch (reason) {
      showError(reason);
      return null;
    } finally {
      setBusy(false);
    }
  }
  function ask(reading: string): Promise<Says | null> {
    return told(async () => {
      if (!asked) return null;
      // The picture speaks only once the reader's own line is on record.
      await sent();
      return asking.mutateAsync({ reading, asked });
    });
  }
  function keep(reading: Reading, done: () => void, taken?: Says["takes"][number]) {
    return told(async () => {
      if (!asked) return;
      await keeping.mutateAsync({ seen: reading, asked });
      done();
      if (!taken) return;
      // What the picture said of the reader's own line is noted before that is changed.
      const seen = { id: reading.id, version: reading.version + 1 };
      await amend.mutateAsync({ seen, ...taken.figures, why: say("photo-why") });
    });
  }
  return { ask, keep, busy };
}
