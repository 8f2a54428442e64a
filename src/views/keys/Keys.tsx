import { KEYMAP, type KeyPlace } from '../../app/keymap';
import { setSingleKeys, useSettings } from '../../app/settings';
import * as sharedText from '../../wording/rooms/shared';

const PLACES: readonly (readonly [KeyPlace, string])[] = [
  ['picture', sharedText.inThePictureOf],
  ['practice', sharedText.inASessionOf],
  ['anywhere', 'Anywhere'],
];

/** Every key, and the switch for those that are a single sign. */
export default function Keys() {
  const singleKeys = useSettings((settings) => settings.singleKeys);
  return (
    <main id="main" tabIndex={-1} className="mx-auto flex max-w-3xl flex-col gap-4 px-5 py-6">
      <p>
        <a href="/">{sharedText.backToTheBench}</a>
      </p>
      <h1 className="font-serif text-3xl font-bold">{sharedText.keys}</h1>
      <p>{sharedText.everythingOnTheScreen}</p>
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
        {sharedText.theFullStopOpens}
      </label>
      <p>{sharedText.byTouchTapA}</p>
      <p>
        <a href="/licences">{sharedText.licences}</a> {sharedText.ofWhatThisProgram}
      </p>
    </main>
  );
}
