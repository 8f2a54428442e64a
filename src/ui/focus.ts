import type { MouseEvent } from 'react';

/*
 * Where the focus goes when what had it goes away: never to nowhere.
 */

/** Deletes a row at the first of two quick clicks: by the second another row lies under the pointer. The focus goes to a row that stays. */
export function ifOnce(event: MouseEvent<HTMLElement>, remove: () => void) {
  if (event.detail > 1) return;
  focusNeighbour(event.currentTarget);
  remove();
}

/** Before a row of a list is deleted: the focus goes to the next row, or the one before, or the list's own section. */
function focusNeighbour(button: HTMLElement) {
  const row = button.closest('li');
  const beside = row?.nextElementSibling ?? row?.previousElementSibling;
  if (!focusInside(beside ?? null)) focusSection(button);
}

function focusInside(place: Element | null): boolean {
  const target = place?.querySelector<HTMLElement>('button, a[href]');
  target?.focus();
  return target !== undefined && target !== null;
}

function focusSection(button: HTMLElement): boolean {
  const heading = button.closest('section')?.querySelector<HTMLElement>('h2');
  return heading ? focusHeading(heading) : focusPage();
}

function focusHeading(heading: HTMLElement): boolean {
  heading.tabIndex = -1;
  heading.focus();
  return true;
}

/** The heading of the page. */
export function focusPage(): boolean {
  const heading = document.querySelector<HTMLElement>('h1');
  return heading ? focusHeading(heading) : false;
}

/** The picture of the plan. */
export function focusPicture() {
  document.querySelector<HTMLElement>('[role="application"]')?.focus();
}
