import list from '#generated/licences.json';

/** A package or font of others that is sent to the browser. */
export interface Licensed {
  readonly name: string;
  readonly version: string;
  /** The licence's short name. */
  readonly licence: string;
  /** The whole licence; empty where the package comes without a file of its own. */
  readonly text: string;
}

/** Packages that come under one and the same text. */
export interface LicenceGroup {
  readonly packages: readonly Licensed[];
  readonly text: string;
}

/** All of them, those with the same text together. */
export function licenceGroups(): LicenceGroup[] {
  const groups = new Map<string, Licensed[]>();
  for (const one of list) groups.set(one.text, [...(groups.get(one.text) ?? []), one]);
  return [...groups].map(([text, packages]) => ({ packages, text }));
}

export const packageWords = ({ name, version, licence }: Licensed) => `${name} ${version} (${licence})`;

/** All of it as one text. */
export function licencesText(): string {
  return licenceGroups()
    .map(({ packages, text }) => `${packages.map(packageWords).join('\n')}\n\n${text}\n`)
    .join(`\n${'-'.repeat(72)}\n\n`);
}
