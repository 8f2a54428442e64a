import { Link } from 'lucide-react';
import { useBench } from '../../app/bench';
import { briefAddress } from '../../app/brief/address';
import { copyText } from '../../app/copying';
import { say } from '../../app/notices';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** Copies an address that opens the same brief anywhere, and says what it holds. */
export function ShareLink() {
  const request = useBench((state) => state.record.request);
  const share = () => {
    const brief = briefAddress(request);
    if (brief === '') {
      say({ kind: 'trouble', message: benchPlanText.thisPlanIsToo });
      return;
    }
    copyText(
      location.origin + location.pathname + brief,
      benchPlanText.theLinkWasCopied,
      benchPlanText.copyTheAddressOf,
    );
  };
  return (
    <button type="button" className="button flex items-center gap-1" onClick={share}>
      <Link size={16} aria-hidden /> {benchPlanText.copyALink}
    </button>
  );
}
