import { matesOf } from '@/core/plan/circuit/circuit';
import { inMinutes } from '@/core/base/words';
import { numbersOf } from '@/ui/circuit-names';
import { usePageBook } from '@/ui/house';
import { HeadFrame, type CourtHeadProps } from '../court-head';

/** What is done side by side now, and the one clock. */
export function CircuitHead({ view, run, number, of, out, children, ...rest }: CourtHeadProps) {
  const book = usePageBook(view.session.coach);
  const { clock, position, phases } = run;
  const stations = matesOf(view.blocks, run.block.id);
  const titles = stations.map(({ drillId }) => book.drill(drillId)?.title ?? '');
  const { stationS, changeS } = run.block.circuit!;
  return (
    <HeadFrame
      clock={clock}
      position={position}
      phases={phases}
      {...rest}
      place={`${numbersOf(number, stations.length)}/${of}`}
      title={titles.length > 1 ? 'Side by side' : titles.join()}
      about={[
        out && 'Left out',
        `${inMinutes(stationS)} at a station, ${inMinutes(changeS)} to walk on`,
        titles.length > 1 && titles.join(', '),
      ]
        .filter(Boolean)
        .join(' · ')}
      turns={1}
      restWord="Walk on"
    >
      {children}
    </HeadFrame>
  );
}
