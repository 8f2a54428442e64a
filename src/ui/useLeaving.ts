import { useEffect } from 'react';

/**
 * What a view does when its page goes.
 * @param leave keeps what is not saved yet; false where something would be lost: then the browser asks first
 * @param back called where the page comes back as it was left
 */
export function useLeaving(leave: () => boolean, back: () => void) {
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => {
      if (!leave()) event.preventDefault();
    };
    const go = () => void leave();
    const comeBack = ({ persisted }: PageTransitionEvent) => {
      if (persisted) back();
    };
    addEventListener('beforeunload', ask);
    addEventListener('pagehide', go);
    addEventListener('pageshow', comeBack);
    return () => {
      removeEventListener('beforeunload', ask);
      removeEventListener('pagehide', go);
      removeEventListener('pageshow', comeBack);
    };
  }, [leave, back]);
}
