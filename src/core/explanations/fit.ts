import type { Explanation } from '../base/explain';
import type { Child, Fitted } from '../players/fit';
import { heightOf } from '../players/growth';
import { originInWords } from '../base/origin';

const round2 = (value: number): number => Math.round(value * 100) / 100;

/** Opens a number of the fit to a child. */
export function explainFit(fitted: Fitted, child: Child): Explanation {
  const height = heightOf(child.age, child.heightCm);
  const range = `${round2(height.lowM)} to ${round2(height.highM)} m`;
  return {
    title: fitted.label,
    value: `${fitted.value} ${fitted.unit}`,
    formula: fitted.how,
    inputs: [
      {
        label: 'Height',
        value: `${round2(height.valueM)} m`,
        from: height.measured
          ? 'as measured'
          : `not measured: the median at ${child.age} years, two in three from ${range} (WHO growth references, from memory)`,
      },
      { label: 'Suggested', value: `${fitted.suggested} ${fitted.unit}` },
      { label: 'Usual range', value: `${fitted.low} to ${fitted.high} ${fitted.unit}` },
      ...(fitted.overruled
        ? [{ label: 'The coach’s own', value: `${fitted.value} ${fitted.unit}`, from: 'it stands' }]
        : []),
    ],
    source: originInWords({ origin: fitted.origin }),
  };
}
