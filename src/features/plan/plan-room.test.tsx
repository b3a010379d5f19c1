import { renderToStaticMarkup } from 'react-dom/server';
import type { PlanTime } from '@/core/plan/plan-time';
import { PlanRoom } from './plan-room';

const said = (overrunS: number) =>
  renderToStaticMarkup(
    <PlanRoom time={{ overrunS, bookedS: 1800, blocks: [] } as unknown as PlanTime} titles={[]} />,
  );

test.each([
  [-249, '4:09 min to spare', 'text-safe'],
  [-14, 'just fits', 'text-safe'],
  [14, 'just fits', 'text-safe'],
  [16, '16 s over', 'text-stop'],
  [95, '1:35 min over', 'text-stop'],
])('%d s over its booking: %s', (overrunS, text, look) => {
  expect(said(overrunS)).toContain(`>${text}<`);
  expect(said(overrunS)).toContain(look);
});
