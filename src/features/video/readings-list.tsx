import { Check } from 'lucide-react';
import { contactsPerMin, laps, readings, secondsInWords, stepsBefore } from '@/core/video/readings';
import type { ClipMark } from '@/core/video/marks';
import type { Measure } from '@/core/counting/measure';
import { Button } from '@/ui/button';

interface Props {
  readonly marks: readonly ClipMark[];
  readonly measure: Measure;
  /** What stands in the log already: once is enough. */
  readonly isNoted: (text: string) => boolean;
  readonly lapsKept: (seconds: number) => number;
  /** Writes words into the block's log; null where nobody is chosen. */
  readonly onNote: ((text: string) => void) | null;
  /** Writes a lap into the block's log. */
  readonly onLap: ((seconds: number) => void) | null;
}

const noteOf = (text: string): string => `${text} (from a clip)`;

const patternWords = {
  stood: 'no side steps',
  shuffle: 'shuffled',
  crossover: 'crossed over',
  both: 'crossed over and shuffled',
} as const;

/** What can be read from the marks; each line can be written into the block's log. */
export function ReadingsList({ marks, measure, isNoted, lapsKept, onNote, onLap }: Props) {
  const rate = contactsPerMin(marks);
  const lines = [
    ...readings(marks).map(({ name, seconds, giveS, atS }) => ({
      key: `${name} ${atS}`,
      text: `${name.replace(/^./, (first) => first.toUpperCase())}: ${secondsInWords(seconds, giveS)}`,
      late: name === 'ready before the bounce' && seconds < giveS,
    })),
    ...stepsBefore(marks).map(({ atS, pattern, sideSteps, crossings }) => ({
      key: `steps ${atS}`,
      text: `Steps: ${patternWords[pattern]}${sideSteps + crossings > 0 ? ` (${sideSteps} down, ${crossings} across)` : ''}`,
      late: false,
    })),
    ...(rate
      ? [
          {
            key: 'rate',
            text: `Hits: ${rate.perMin.toFixed(0)} a minute, give or take ${Math.max(1, Math.ceil(rate.give))}`,
            late: false,
          },
        ]
      : []),
  ];
  const run = laps(marks);
  // Of laps that took the same, the log has to have as many.
  const isKept = (at: number) =>
    lapsKept(run[at]!.seconds) >
    run.slice(0, at).filter(({ seconds }) => seconds.toFixed(1) === run[at]!.seconds.toFixed(1)).length;
  if (lines.length + run.length === 0)
    return (
      <p className="text-soft">
        Step to the frame that first shows it, and set a mark: “racket back” and “bounce” say how early a
        player was ready, two “contact” marks and more the tempo, two “finish” marks a lap.
      </p>
    );
  return (
    <ul className="divide-y divide-line" data-readings>
      {lines.map(({ key, text, late }) => (
        <li key={key} className="flex min-h-12 items-center gap-3">
          <span className="tabular flex-1">
            {text}
            {late && <b className="ml-2 text-care">not before it</b>}
          </span>
          {onNote && (
            <Button
              disabled={isNoted(noteOf(text))}
              onClick={() => !isNoted(noteOf(text)) && onNote(noteOf(text))}
              aria-label={`${isNoted(noteOf(text)) ? 'Noted' : 'Note it'}: ${text}`}
            >
              <Check aria-hidden size={18} /> {isNoted(noteOf(text)) ? 'Noted' : 'Note it'}
            </Button>
          )}
        </li>
      ))}
      {run.map(({ seconds, giveS, partsS }, at) => (
        <li key={at} className="flex min-h-12 items-center gap-3">
          <span className="tabular flex-1">
            Lap {at + 1}: {secondsInWords(seconds, giveS)}
            {partsS.length > 1 && ` (${partsS.map((one) => one.toFixed(2)).join(' + ')})`}
          </span>
          {onLap && measure === 'lap' && (
            <Button disabled={isKept(at)} onClick={() => !isKept(at) && onLap(seconds)}>
              <Check aria-hidden size={18} /> {isKept(at) ? 'Kept' : 'Keep'} lap {at + 1}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
