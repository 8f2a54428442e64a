/** The usual caution, where stretches and repetition are set. */
export function Caution() {
  return (
    <p className="border-l-4 border-ochre px-3 text-[0.95rem]">
      Warm up, keep the thumb soft, stop at pain, numbness or tingling, and rest. The teacher in the room
      decides; lasting pain belongs with a doctor or physiotherapist.
    </p>
  );
}
