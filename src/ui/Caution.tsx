import * as sharedText from '../wording/rooms/shared';
/** The usual caution, where stretches and repetition are set. */
export function Caution() {
  return <p className="border-l-4 border-ochre px-3 text-[0.95rem]">{sharedText.warmUpKeepThe}</p>;
}
