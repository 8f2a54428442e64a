import { Link } from 'lucide-react';
import { useBench } from '../../app/bench';
import { briefAddress } from '../../app/brief/address';
import { copyText } from '../../app/copying';
import { say } from '../../app/notices';

/** Copies an address that opens the same brief anywhere, and says what it holds. */
export function ShareLink() {
  const request = useBench((state) => state.record.request);
  const share = () => {
    const brief = briefAddress(request);
    if (brief === '') {
      say({
        kind: 'trouble',
        message: 'This plan is too long for a link. Save it as a file instead: “Save as …”.',
      });
      return;
    }
    copyText(
      location.origin + location.pathname + brief,
      'The link was copied. It holds the brief: the music, instrument, size and hand, wishes, and what you put at single notes. It does not hold the student, the name of the plan or any practice.',
      'Copy the address of this page instead.',
    );
  };
  return (
    <button type="button" className="button flex items-center gap-1" onClick={share}>
      <Link size={16} aria-hidden /> Copy a link
    </button>
  );
}
