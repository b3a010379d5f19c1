import { CloudCheck, CloudOff, HardDrive } from 'lucide-react';
import type { LogState } from '@/court/run-log';

/** Where the counts are: on the server, or safe on this device and on their way. */
export function SafeNote({ state }: { state: LogState }) {
  const { safe, waiting, loose, heldBack, reachable } = state;
  const allSafe = waiting + loose + heldBack.length === 0;
  return (
    <p
      data-safe={safe}
      data-waiting={waiting + loose}
      className={`order-first col-span-2 flex min-w-44 items-center justify-center gap-2 px-2 md:order-none md:ml-auto md:justify-start text-base leading-tight ${allSafe ? 'text-safe' : 'text-ink'}`}
    >
      {allSafe ? (
        <CloudCheck aria-hidden />
      ) : reachable ? (
        <HardDrive aria-hidden />
      ) : (
        <CloudOff aria-hidden />
      )}
      <span>
        {allSafe ? 'All safe on the server' : `${safe} safe on the server`}
        {waiting > 0 && <span className="block">{waiting} safe here, on the way</span>}
        {loose > 0 && <span className="block">{loose} not kept yet</span>}
        {heldBack.length > 0 && <span className="block">{heldBack.length} held back here</span>}
        {!reachable && <span className="block font-bold">Server out of reach</span>}
      </span>
    </p>
  );
}
