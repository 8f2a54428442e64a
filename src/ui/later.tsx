import { memo, useEffect, useState, type ComponentType } from 'react';
import { ahead } from '../app/ahead';
import { Section } from './Section';

/**
 * A part of a view that is fetched when it is first shown, or ahead of that once the page stands; drawn again where what
 * it is given is another. Until it is there nothing stands in its place.
 * @param name what it is called where it cannot be shown
 */
export function later<P extends object>(name: string, load: () => Promise<ComponentType<P>>): ComponentType<P> {
  let there: ComponentType<P> | undefined;
  const fetched = ahead(async () => (there = await load()));
  function Fetched(props: P) {
    const [Part, setPart] = useState(() => there);
    const [trouble, setTrouble] = useState<{ readonly error: unknown } | null>(null);
    useEffect(() => {
      if (Part) return;
      let here = true;
      fetched().then(
        (part) => here && setPart(() => part),
        (error: unknown) => here && setTrouble({ error }),
      );
      return () => {
        here = false;
      };
    }, [Part]);
    // The section round it says so, and fetches it once more where that is asked for.
    if (trouble) throw trouble.error;
    return Part ? <Part {...props} /> : null;
  }
  return memo(function Later(props: P) {
    return (
      <Section name={name}>
        <Fetched {...props} />
      </Section>
    );
  }) as unknown as ComponentType<P>;
}
