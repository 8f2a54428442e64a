import type { RefObject } from 'react';
import { Header, Menu, MenuItem, MenuSection, Popover } from 'react-aria-components';

export interface Act {
  readonly id: string;
  readonly words: string;
  /** Acts of one group stand together under its name. */
  readonly group?: string;
}

interface Props {
  readonly trigger: RefObject<HTMLElement | null>;
  readonly label: string;
  readonly acts: readonly Act[];
  readonly onAct: (id: string) => void;
  readonly onClose: () => void;
}

/** The open list of a menu, over the page. */
export function OpenMenu({ trigger, label, acts, onAct, onClose }: Props) {
  return (
    <Popover
      isOpen
      triggerRef={trigger}
      placement="bottom start"
      onOpenChange={(open) => !open && onClose()}
      className="min-w-48 rounded-md border-2 border-dove bg-sheet shadow-lg outline-none"
    >
      <Menu
        aria-label={label}
        autoFocus="first"
        onClose={onClose}
        onAction={(id) => onAct(String(id))}
        className="max-h-[50vh] overflow-y-auto py-1 outline-none"
      >
        {groupsOf(acts).map(({ name, members }) =>
          name === undefined ? (
            members.map(itemOf)
          ) : (
            <MenuSection key={name}>
              <Header className="px-4 pt-2 text-sm text-faded">{name}</Header>
              {members.map(itemOf)}
            </MenuSection>
          ),
        )}
      </Menu>
    </Popover>
  );
}

function itemOf({ id, words }: Act) {
  return (
    <MenuItem
      key={id}
      id={id}
      textValue={words}
      className="flex min-h-10 cursor-pointer items-center px-4 outline-none data-[focused]:bg-haze"
    >
      {words}
    </MenuItem>
  );
}

interface Group {
  readonly name: string | undefined;
  readonly members: readonly Act[];
}

/** The acts by their groups, each group where its first act is. */
function groupsOf(acts: readonly Act[]): Group[] {
  const names = [...new Set(acts.map(({ group }) => group))];
  return names.map((name) => ({ name, members: acts.filter(({ group }) => group === name) }));
}
