import { degrees } from '@/core/ballistics/motion';
import {
  estimateInWords,
  explainBest,
  explainSpread,
  rallySentence,
  sureness,
} from '@/core/explanations/rally';
import type { RallyAnswer } from '@/core/calculators/rally/job';
import { medianLength } from '@/core/calculators/rally/results';
import { percent } from '@/core/base/words';
import { Sheet } from '@/ui/page-head';
import { Readings, Sentence } from '../answer';
import { EndBars, LengthChart } from './length-chart';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Said } from '@/ui/units';

/** What the rallies say: the sentence, how sure it is, the picture, and the numbers. */
export function RallyAnswerView({
  name,
  asked,
  answer,
}: {
  name: string;
  asked: string;
  answer: RallyAnswer;
}) {
  const { forecast, plain, fit } = answer;
  const { spread } = fit.best;
  return (
    <>
      <Sentence>{rallySentence(name, answer)}</Sentence>
      <p className={`text-sm ${fit.littleData ? 'font-semibold text-care' : 'text-soft'}`}>
        <Said>{`${asked}. ${sureness(answer)}`}</Said>
      </p>
      <div className="grid items-start gap-3 lg:grid-cols-[minmax(0,1fr)_16rem]">
        <Sheet className="p-2" aria-label="How long rallies are">
          <DrawingToTake name="rallies">
            <LengthChart answer={answer} />
          </DrawingToTake>
          <p className="px-1 text-sm text-soft">
            Bars: ten thousand rallies played · <span className="font-bold text-now">┅</span> the plain model:
            the same chance each hit, {percent(plain.rate)} as logged
          </p>
        </Sheet>
        <Sheet className="p-3" aria-label="Why rallies end">
          <h2 className="mb-1 text-base">Why rallies end</h2>
          <EndBars answer={answer} />
        </Sheet>
      </div>
      <Readings
        title="Numbers"
        readings={[
          {
            label: `Best of ${forecast.tries}`,
            value: estimateInWords(forecast.best, (n) => n.toFixed(0)),
            note: `plain model: ${plain.best.toFixed(0)}`,
            explain: () => explainBest(answer),
          },
          {
            label: `${forecast.aim} or more`,
            value: estimateInWords(forecast.reach, percent),
            note: `plain model: ${percent(plain.reach)}`,
            explain: () => explainBest(answer),
          },
          { label: 'Half of them reach', value: String(medianLength(forecast.rallies)), note: 'in a row' },
          {
            label: 'Good hits',
            value: percent(forecast.rate),
            note: `logged so far: ${percent(plain.rate)}`,
          },
          {
            label: 'Scatter in speed',
            value: `± ${percent(spread.speed)}`,
            note: `${percent(fit.low.speed)} to ${percent(fit.high.speed)}`,
            explain: () => explainSpread(answer),
          },
          {
            label: 'Scatter in height',
            value: `± ${degrees(spread.height).toFixed(1)}°`,
            note: `${degrees(fit.low.height).toFixed(1)}° to ${degrees(fit.high.height).toFixed(1)}°`,
            explain: () => explainSpread(answer),
          },
          {
            label: 'Scatter to the side',
            value: `± ${degrees(spread.side).toFixed(1)}°`,
            note: `${degrees(fit.low.side).toFixed(1)}° to ${degrees(fit.high.side).toFixed(1)}°`,
            explain: () => explainSpread(answer),
          },
        ]}
      />
    </>
  );
}
