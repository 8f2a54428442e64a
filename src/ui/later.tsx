import { lazy, memo, Suspense, type ComponentType } from 'react';
import { ahead } from '../app/ahead';
import { Section } from './Section';

/**
 * A part of a view that is fetched when it is first shown, or ahead of that once the page stands; drawn again where what it is given is another.
 * @param name what it is called where it cannot be shown
 */
export function later<P extends object>(
  name: string,
  load: () => Promise<ComponentType<P>>,
): ComponentType<P> {
  const fetched = ahead(() => load().then((part) => ({ default: part })));
  const Part = lazy<ComponentType<P>>(fetched);
  return memo(function Later(props: P) {
    return (
      <Section name={name}>
        <Suspense>
          <Part {...props} />
        </Suspense>
      </Section>
    );
  }) as unknown as ComponentType<P>;
}
