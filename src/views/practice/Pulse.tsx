/** The pulse as light: the beat that sounds, counted in words while it is counted in. */
export function Pulse({ beat, countIn }: { readonly beat: number | null; readonly countIn: number }) {
  const counting = beat !== null && beat < 0;
  const lit = beat !== null && beat % 2 === 0;
  return (
    <div
      aria-hidden
      data-testid="pulse"
      className={`flex size-14 items-center justify-center rounded-full border-4 font-serif text-3xl font-bold md:size-24 md:text-5xl ${
        beat === null
          ? 'border-rule text-faded'
          : lit
            ? 'border-dove bg-dove text-sheet'
            : 'border-dove bg-haze text-dove'
      }`}
    >
      {counting ? countIn + beat + 1 : ''}
    </div>
  );
}
