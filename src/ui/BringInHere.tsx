import { FileUp } from 'lucide-react';
import { useEffect, useState } from 'react';
import { later } from './later';

/** Everything about bringing in is fetched when it is first wanted. */
const load = () => import('../app/paper/bringIn');
const BringIn = later('Bringing in a piece', async () => (await import('./BringIn')).BringIn);

/** The button to bring in a piece; a file may be dropped anywhere on the page as well. */
export function BringInHere() {
  const [wanted, setWanted] = useState(false);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const [file] = event.dataTransfer?.files ?? [];
      if (!file) return;
      event.preventDefault();
      setWanted(true);
      void load().then(({ bringFile }) => bringFile(file));
    };
    addEventListener('dragover', over);
    addEventListener('drop', drop);
    return () => {
      removeEventListener('dragover', over);
      removeEventListener('drop', drop);
    };
  }, []);
  return (
    <>
      <button
        type="button"
        className="button flex items-center gap-1"
        onClick={() => {
          setWanted(true);
          void load().then(({ askForPiece }) => askForPiece());
        }}
      >
        <FileUp size={17} aria-hidden /> Bring in a piece
      </button>
      {wanted && <BringIn />}
    </>
  );
}
