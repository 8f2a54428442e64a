import { KEYMAP, type KeyPlace } from '../../app/keymap';
import { setSingleKeys, useSettings } from '../../app/settings';

const PLACES: readonly (readonly [KeyPlace, string])[] = [
  ['picture', 'In the picture of the Bench'],
  ['practice', 'In a session of practice'],
  ['anywhere', 'Anywhere'],
];

/** Every key, and the switch for those that are a single sign. */
export default function Keys() {
  const singleKeys = useSettings((settings) => settings.singleKeys);
  return (
    <main id="main" tabIndex={-1} className="mx-auto flex max-w-3xl flex-col gap-4 px-5 py-6">
      <p>
        <a href="/">Back to the Bench</a>
      </p>
      <h1 className="font-serif text-3xl font-bold">Keys</h1>
      <p>
        Everything on the screen works by keyboard: Tab goes from one control to the next, and the keys below
        are short cuts. Those of the picture work once it has the focus; the others anywhere except where you
        type.
      </p>
      {PLACES.map(([place, words]) => (
        <section key={place} aria-label={words}>
          <h2 className="font-serif text-xl font-semibold">{words}</h2>
          <table className="mt-1 w-full border-collapse text-left">
            <tbody>
              {KEYMAP.filter((binding) => binding.place === place).map(({ id, shown, does }) => (
                <tr key={id} className="border-t border-rule">
                  <th scope="row" className="w-44 py-1.5 pr-4 font-normal">
                    <kbd className="rounded border border-rule bg-sheet px-2 py-0.5">{shown}</kbd>
                  </th>
                  <td className="py-1.5">{does}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <label className="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={singleKeys}
          onChange={(event) => setSingleKeys(event.target.checked)}
        />
        The full stop opens the commands. Switch it off if you press it by accident or dictate.
      </label>
      <p>
        By touch: tap a note to put the cursor on it, then a finger, string or position below the picture.
        “Mark notes” makes the next taps mark from there.
      </p>
      <p>
        <a href="/licences">Licences</a> of what this program is built with.
      </p>
    </main>
  );
}
