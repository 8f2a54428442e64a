import type { RefObject } from 'react';
import { Menu, MenuItem, Popover } from 'react-aria-components';
import type { Act } from './ActMenu';

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
        items={acts}
        onClose={onClose}
        onAction={(id) => onAct(String(id))}
        className="max-h-[50vh] overflow-y-auto py-1 outline-none"
      >
        {({ id, words }) => (
          <MenuItem
            id={id}
            textValue={words}
            className="flex min-h-10 cursor-pointer items-center px-4 outline-none data-[focused]:bg-haze"
          >
            {words}
          </MenuItem>
        )}
      </Menu>
    </Popover>
  );
}
