import Link from 'next/link';
import { settingFits } from '@/session/pace';
import type { PlanBlock } from '@/session/plan';
import type { Drill } from '@/drills/types';
import { settingInWords } from '@/core/setting';
import { Button } from '@/ui/button';
import { Said } from '@/ui/units';

/** How a block is set out by a bench, and the way to the bench that does it; nothing for a step no bench is for. */
export function SettingLine({
  block,
  drill,
  playerId = '',
  placeId,
  onClear,
}: {
  block: PlanBlock;
  drill: Drill;
  playerId?: string | undefined;
  placeId: string | null;
  onClear: () => void;
}) {
  const bench = settingFits(drill, { kind: 'wall' })
    ? 'wall'
    : settingFits(drill, { kind: 'feeder' })
      ? 'feeder'
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
        <Link href={`/benches/${bench}?${query}`} className="font-semibold underline underline-offset-4">
          {bench === 'wall' ? 'Wall calculator' : 'Feeder calculator'}
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
