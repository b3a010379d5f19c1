import { Link } from '@/ui/link';
import { settingFits, takesSequence } from '@/session/base/pace';
import type { PlanBlock } from '@/session/base/plan';
import type { Drill, Step } from '@/drills/base/types';
import { settingInWords } from '@/core/calculators/setting-words';
import { Button } from '@/ui/button';
import { Said } from '@/ui/units';

const benchNames = {
  wall: 'Wall calculator',
  feeder: 'Feeder calculator',
  sequence: 'Shadow sequences',
} as const;

/** How a block is set out by a bench, and the way to the bench that does it; nothing for a step no bench is for. */
export function SettingLine({
  block,
  drill,
  step,
  playerId = '',
  placeId,
  onClear,
}: {
  block: PlanBlock;
  drill: Drill;
  step: Step;
  playerId?: string | undefined;
  placeId: string | null;
  onClear: () => void;
}) {
  const bench = settingFits(drill, { kind: 'wall' })
    ? 'wall'
    : settingFits(drill, { kind: 'feeder' })
      ? 'feeder'
      : settingFits(drill, { kind: 'sequence' }) && takesSequence(step)
        ? 'sequence'
        : null;
  const { setting } = block;
  if (!bench && !setting) return null;
  const query = new URLSearchParams({ block: block.id, player: playerId, place: placeId ?? '' });
  return (
    <p
      className="flex flex-wrap items-center gap-x-3 rounded-md bg-chalk px-3 py-1 text-sm"
      data-setting={setting?.kind ?? ''}
    >
      <span className="min-w-0 flex-1">
        {setting ? (
          <>
            <strong>Set out:</strong> <Said>{settingInWords(setting)}</Said>
          </>
        ) : (
          'Set out in the drill’s own way.'
        )}
      </span>
      {bench && (
        <Link
          href={`${bench === 'sequence' ? '/drills/sequences' : `/benches/${bench}`}?${query}`}
          className="font-semibold underline underline-offset-4"
        >
          {benchNames[bench]}
        </Link>
      )}
      {setting && (
        <Button look="quiet" className="min-h-8 touch:min-h-11 px-2 text-sm" onClick={onClear}>
          Take it off
        </Button>
      )}
    </p>
  );
}
