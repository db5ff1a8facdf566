import type { Instrument, Quantity, Reading } from "../api";
import { PhotoDialog } from "./PhotoDialog";
import { usePhoto } from "./usePhoto";

interface Props {
  sheet: string;
  quantity: Quantity;
  instrument: Instrument;
  reading: Reading;
  onClose: () => void;
}

/** A photograph of a reading that is on record. */
export function PhotoOfRow({ sheet, instrument, ...props }: Props) {
  const held = usePhoto(sheet, instrument);
  return <PhotoDialog {...props} {...{ sheet, instrument, held }} />;
}
