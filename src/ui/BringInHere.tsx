import { FileUp } from 'lucide-react';
import { useEffect } from 'react';
import { create } from 'zustand';
import { later } from './later';
import * as sharedText from '../wording/rooms/shared';

/** Everything about bringing in is fetched when it is first wanted. */
const load = () => import('../app/paper/bringIn');
const BringIn = later(sharedText.bringingInAPiece, async () => (await import('./BringIn')).BringIn);
const useWanted = create(() => ({ wanted: false }));

/** What a page that pieces can be brought in to has once: a file may be dropped anywhere on it, and the questions about it stand here. */
export function BringInDrop() {
  const wanted = useWanted((state) => state.wanted);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const [file] = event.dataTransfer?.files ?? [];
      if (!file) return;
      event.preventDefault();
      useWanted.setState({ wanted: true });
      void load().then(({ bringFile }) => bringFile(file));
    };
    addEventListener('dragover', over);
    addEventListener('drop', drop);
    return () => {
      removeEventListener('dragover', over);
      removeEventListener('drop', drop);
    };
  }, []);
  return wanted && <BringIn />;
}

/** The button to bring in a piece. */
export function BringInHere() {
  return (
    <button
      type="button"
      className="button flex items-center gap-1"
      onClick={() => {
        useWanted.setState({ wanted: true });
        void load().then(({ askForPiece }) => askForPiece());
      }}
    >
      <FileUp size={17} aria-hidden /> {sharedText.bringInAPiece}
    </button>
  );
}
