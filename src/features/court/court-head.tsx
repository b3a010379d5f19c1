import type { ReactNode } from 'react';
import { doseInWords } from '@/core/dose/dose';
import { settingOnCourt } from '@/core/calculators/setting';
import { partInWords } from '@/core/court/sides';
import { BlockClockFace, type BlockClockFaceProps } from './block-clock-face';
import type { CourtView } from './court-view';
import type { BlockRun } from './use-block';
import { useUnits } from '@/ui/units';

interface FrameProps extends BlockClockFaceProps {
  /** "3/8" */
  readonly place: string;
  readonly title: string;
  readonly about: ReactNode;
  /** Sheets that open from here. */
  readonly children: ReactNode;
}

/** Two lines on what is done now, and the clock. */
export function HeadFrame({ place, title, about, children, ...clock }: FrameProps) {
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <div className="min-w-0 flex-1 basis-full sm:basis-56">
        <h1 className="text-lg leading-tight sm:text-2xl">
          <span className="tabular text-soft">{place}</span> {title}
        </h1>
        <p className="line-clamp-3 leading-tight text-soft sm:text-lg">{about}</p>
      </div>
      {children}
      <BlockClockFace {...clock} />
    </header>
  );
}

export interface CourtHeadProps extends Pick<BlockClockFaceProps, 'changeoverS' | 'lateS' | 'onOpen'> {
  readonly view: CourtView;
  readonly run: BlockRun;
  /** The place of the block in the session, from 1, and how many there are. */
  readonly number: number;
  readonly of: number;
  readonly out: boolean;
  readonly children: ReactNode;
}

/** What is done now, and its clock. */
export function CourtHead({ view: _view, run, number, of, out, children, ...rest }: CourtHeadProps) {
  const { say } = useUnits();
  const { block, drill, step, shared, clock, position, phases } = run;
  const bounceRule = block.scoring?.bounceRule ?? drill.bounceRule;
  return (
    <HeadFrame
      clock={clock}
      position={position}
      phases={phases}
      {...rest}
      place={`${number}/${of}`}
      title={`${drill.title}: ${step.title}`}
      about={
        <>
          {out && 'Left out · '}
          {doseInWords(shared.dose)}
          {block.setting && ` · ${say(settingOnCourt(block.setting))}`}
          {shared.changes.length > 0 && ` · ${shared.changes.join(', ')}`}
          {step.target && bounceRule && ` · ${bounceRule}`} · “{step.cue}”
        </>
      }
      turns={block.turns}
      part={partInWords(shared.dose, position.phase)}
    >
      {children}
    </HeadFrame>
  );
}
