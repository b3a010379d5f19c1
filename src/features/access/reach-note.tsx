import { Smartphone, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { Field } from '@/ui/field';
import type { Reached } from './use-reach';

interface Props {
  readonly reached: Reached;
  /** What works without a link: the file, the card. */
  readonly instead?: ReactNode;
}

/** Said before a link is made: whether a phone can open it, at which address, and what to do where none can. */
export function ReachNote({ reached: { reach, base, choose }, instead }: Props) {
  if (!reach) return null;
  const { addresses } = reach;
  if (addresses.length === 0) return <NoPhone closed={reach.closed} port={reach.port} instead={instead} />;
  if (addresses.length === 1)
    return (
      <p className="flex items-center gap-2 text-sm text-soft" data-reach={base}>
        <Smartphone aria-hidden size={16} className="shrink-0" /> Phones in this network open it at {base}.
      </p>
    );
  return (
    <Field label="Phones open it at" hint="The address their network knows. It is remembered on this device.">
      <select value={base} onChange={(event) => choose(event.target.value)} data-reach={base}>
        {addresses.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </select>
    </Field>
  );
}

interface NoPhoneProps extends Pick<Props, 'instead'> {
  readonly closed: readonly string[];
  readonly port: string;
}

function NoPhone({ closed, port, instead }: NoPhoneProps) {
  const own = closed[0] ?? '192.168.1.20';
  return (
    <div className="rounded-md bg-care-bg px-3 py-2 text-sm text-care" data-reach="">
      <p className="flex items-start gap-2 font-semibold">
        <TriangleAlert aria-hidden size={16} className="mt-0.5 shrink-0" /> Phones cannot open links of this
        computer: it answers to itself only.
      </p>
      {instead && <p>{instead}</p>}
      <details>
        <summary className="cursor-pointer py-3 underline">Open it to the hall’s network</summary>
        <p className="mt-1">
          Stop Vow Step, choose a passcode, and start it for your network. Phones then open http://{own}:
          {port}. Anybody in that network can reach it: use a network of your own, or https.
        </p>
        <pre className="mt-1 overflow-x-auto rounded-sm bg-sheet p-2 text-xs text-ink">
          {`npm run passcode\nHOST=0.0.0.0 VOWSTEP_ALLOWED_HOSTS=${own} npm start`}
        </pre>
        {closed.length === 0 && <p>Put this computer’s own address in place of {own}.</p>}
      </details>
    </div>
  );
}
