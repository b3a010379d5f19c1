'use client';

import { Footprints } from 'lucide-react';
import type { Drill, Step } from '@/drills/base/types';
import { placePlayerAction } from '@/server/actions';
import type { PlayerFacts } from '@/server/views/facts';
import type { DrillView } from '@/server/views/drills';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { useNotice } from '@/ui/toast';

interface Props {
  readonly view: DrillView;
  readonly drill: Drill;
  readonly step: Step;
  readonly player: PlayerFacts;
}

/** Puts the chosen player on the chosen step, by the coach's own eye. */
export function StandHere({ view, drill, step, player }: Props) {
  const notice = useNotice();
  const standsOn = view.standing.find((one) => one.playerId === player.id)?.stepId;
  const put = async (stepId: string | null, undone = false) => {
    const outcome = await ask(() => placePlayerAction({ playerId: player.id, drillId: drill.id, stepId }));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    const title = drill.steps.find((one) => one.id === stepId)?.title;
    const { before } = outcome.value;
    notice({
      text: title ? `${player.name} stands on “${title}”.` : `${player.name} is off this ladder.`,
      ...(!undone && { undo: () => void put(before, true) }),
    });
  };
  if (standsOn === step.id) return <p className="text-sm text-soft">{player.name} stands here.</p>;
  return (
    <Button className="min-h-9 touch:min-h-11 px-3 text-sm" onClick={() => void put(step.id)}>
      <Footprints aria-hidden size={18} /> Put {player.name} here
    </Button>
  );
}
