import type { ReactNode } from 'react';
import { doseInWords } from '@/core/dose/dose';
import { settingOnCourt } from '@/core/setting';
import { partInWords } from '@/core/run/sides';
import { BlockClockFace, type BlockClockFaceProps } from './block-clock-face';
import type { BlockRun } from './use-block';
import { useUnits } from '@/ui/units';

interface Props extends Pick<BlockClockFaceProps, 'changeoverS' | 'lateS' | 'onOpen'> {
  readonly run: BlockRun;
  /** The place of the block in the session, from 1, and how many there are. */
  readonly number: number;
  readonly of: number;
  readonly out: boolean;
  /** Sheets that open from here. */
  readonly children: ReactNode;
}

/** What is done now, in two lines, and the clock. */
export function CourtHead({ run, number, of, out, changeoverS, lateS, onOpen, children }: Props) {
  const { say } = useUnits();
  const { block, drill, step, shared } = run;
  const bounceRule = block.scoring?.bounceRule ?? drill.bounceRule;
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <div className="min-w-0 flex-1 basis-full sm:basis-56">
        <h1 className="text-lg leading-tight sm:text-2xl">
          <span className="tabular text-soft">
            {number}/{of}
          </span>{' '}
          {drill.title}: {step.title}
        </h1>
        <p className="leading-tight text-soft sm:text-lg">
          {out && 'Left out · '}
          {doseInWords(shared.dose)}
          {block.setting && ` · ${say(settingOnCourt(block.setting))}`}
          {shared.changes.length > 0 && ` · ${shared.changes.join(', ')}`}
          {step.target && bounceRule && ` · ${bounceRule}`} · “{step.cue}”
        </p>
      </div>
      {children}
      <BlockClockFace
        clock={run.clock}
        position={run.position}
        phases={run.phases}
        turns={block.turns}
        part={partInWords(shared.dose, run.position.phase)}
        changeoverS={changeoverS}
        lateS={lateS}
        onOpen={onOpen}
      />
    </header>
  );
}
