import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import {
  Autocomplete,
  Dialog,
  Input,
  Menu,
  MenuItem,
  Modal,
  ModalOverlay,
  SearchField,
  useFilter,
} from 'react-aria-components';
import { listPlans } from '../../store/read';
import type { Speech } from '../../wording/plans';
import { useBench } from '../../app/bench';
import { commandsFor, type Command } from '../../app/commands';
import { cleanBase, setBrief } from '../../app/edits';
import { useStudents } from '../../app/students';
import { isKept } from '../../app/session/state';
import * as paletteText from '../../wording/rooms/palette';

type Reader = typeof import('../../app/brief/typed');

interface Props {
  /** How the plan on the stand is spoken of; null while there is none. */
  readonly speech: Speech | null;
  readonly onClose: () => void;
}

/** Everything that can be done, found by typing some of its words. */
export function Palette({ speech, onClose }: Props) {
  const students = useStudents();
  const plans = useLiveQuery(() => listPlans().catch(() => []), []) ?? [];
  const { contains } = useFilter({ sensitivity: 'base' });
  const [typed, setTyped] = useState('');
  const [reader, setReader] = useState<Reader | null>(null);
  useEffect(() => {
    void import('../../app/brief/typed').then(setReader, () => undefined);
  }, []);
  const record = useBench((state) => state.record);
  const kept = useBench(isKept);
  const reading = reader?.readTyped(typed, record.request, students, cleanBase(record, kept, students));
  const brief = reading?.kind === 'understood' ? reading.brief : null;
  const commands: readonly Command[] = [
    ...(brief && reader
      ? [{ id: 'typed', words: paletteText.palettePlan(reader.briefWords(brief), typed), act: () => setBrief(brief) }]
      : []),
    ...commandsFor(students, plans, speech),
  ];
  const allWords = (text: string, typed: string) =>
    typed
      .trim()
      .split(/\s+/)
      .every((word) => contains(text, word));
  return (
    <ModalOverlay
      isOpen
      isDismissable
      onOpenChange={(open) => !open && onClose()}
      className="fixed inset-0 z-50 flex items-start justify-center bg-ink/30 pt-[12vh]"
    >
      <Modal className="w-[min(40rem,92vw)]">
        <Dialog
          aria-label={paletteText.paletteCommands}
          className="overflow-hidden rounded-lg border-2 border-dove bg-sheet shadow-lg outline-none"
        >
          <Autocomplete filter={allWords} inputValue={typed} onInputChange={setTyped}>
            <SearchField aria-label={paletteText.findACommand} autoFocus>
              <Input
                placeholder={paletteText.whatWouldYouLike}
                className="w-full border-b border-rule bg-transparent px-4 py-3 font-serif text-lg outline-none"
              />
            </SearchField>
            <div
              role="group"
              aria-label={paletteText.allCommands}
              tabIndex={0}
              className="max-h-[50vh] overflow-y-auto"
            >
              <Menu
                aria-label={paletteText.allCommands}
                items={commands}
                className="py-1"
                renderEmptyState={() => <p className="px-4 py-2 text-faded">{paletteText.noCommandHasThese}</p>}
                onAction={(id) => {
                  onClose();
                  commands.find((command) => command.id === id)?.act();
                }}
              >
                {({ id, words, keys }) => (
                  <MenuItem
                    id={id}
                    textValue={words}
                    className="flex min-h-10 cursor-pointer items-center justify-between px-4 outline-none data-[focused]:bg-haze"
                  >
                    <span>{words}</span>
                    {keys && <kbd className="text-sm text-faded">{keys}</kbd>}
                  </MenuItem>
                )}
              </Menu>
            </div>
          </Autocomplete>
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}
