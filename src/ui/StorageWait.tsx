import { useStorageWait } from '../app/storageWait';

/** Says over the page what the storage has not answered yet; it goes by itself. */
export function StorageWait() {
  const words = useStorageWait();
  return (
    <div role="status" className="pointer-events-none fixed inset-x-0 bottom-24 z-40 flex justify-center px-3">
      {words && (
        <p
          className="max-w-3xl rounded-md border-2 border-l-8 border-dove bg-sheet px-4 py-2 shadow-lg"
          data-testid="storage-wait"
        >
          {words}
        </p>
      )}
    </div>
  );
}
