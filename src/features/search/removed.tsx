import {
  removeDrillAction,
  removeFeederAction,
  removeSequenceAction,
  removePatternAction,
  removePlaceAction,
  removePlayerAction,
  removeSessionAction,
} from '@/server/actions';
import type { RemovedView, TakenOffKind } from '@/server/views/removed';
import { PageHead, Sheet } from '@/ui/page-head';
import { TakenOffRows } from '@/ui/taken-off';

const kinds: readonly (readonly [TakenOffKind, string, typeof removePlayerAction])[] = [
  ['player', 'Players', removePlayerAction],
  ['session', 'Sessions', removeSessionAction],
  ['pattern', 'Patterns', removePatternAction],
  ['drill', 'Drills written here', removeDrillAction],
  ['place', 'Places', removePlaceAction],
  ['feeder', 'Feeder settings', removeFeederAction],
  ['sequence', 'Shadow sequences', removeSequenceAction],
];

/** Everything that was removed, in one place: each can be brought back. */
export function Removed({ view }: { readonly view: RemovedView }) {
  const shown = kinds.filter(([kind]) => view[kind].length > 0);
  return (
    <>
      <PageHead title="Removed">
        What was removed stays on record with everything counted, and can be brought back.
      </PageHead>
      {shown.length === 0 && <Sheet className="p-5 text-soft">Nothing has been removed.</Sheet>}
      <div className="grid items-start gap-4 md:grid-cols-2">
        {shown.map(([kind, title, setRemoved]) => (
          <Sheet key={kind} className="p-4" aria-label={title}>
            <h2 className="mb-1 text-lg">{title}</h2>
            <TakenOffRows items={view[kind]} setRemoved={setRemoved} />
          </Sheet>
        ))}
      </div>
    </>
  );
}
