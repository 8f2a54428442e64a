import assert from 'node:assert/strict';
import { test } from 'node:test';
import { licenceGroups, licencesText, packageWords } from '../../../src/views/licences/licensed';

test('every package and font comes with the text of its licence, said once', () => {
  const groups = licenceGroups();
  const packages = groups.flatMap((group) => group.packages);
  for (const name of ['react-dom', 'dexie', 'tone', '@vexflow-fonts/bravura'])
    assert.ok(
      packages.some((one) => one.name === name),
      name,
    );
  const fonts = packages.filter(({ licence }) => licence === 'OFL-1.1');
  assert.equal(fonts.length, 5);
  for (const { text } of groups) assert.ok(text.length > 200);
  assert.equal(new Set(groups.map(({ text }) => text)).size, groups.length);
  const all = licencesText();
  for (const one of packages) assert.ok(all.includes(packageWords(one)), one.name);
});
