import { feederLimits, type FeederSettings } from '@/core/ballistics/feed/feeder';
import type { FeederStand } from '@/core/ballistics/feed/stand';
import { Dial } from '../dial';

interface MachineDialsProps {
  readonly stand: FeederStand;
  readonly machine: FeederSettings;
  readonly onStand: (stand: FeederStand) => void;
  readonly onTurn: (more: Partial<FeederSettings>) => void;
  /** How its speed feels to the child. */
  readonly words: string;
}

/** Where the machine stands, and its dials. */
export function MachineDials({ stand, machine, onStand, onTurn, words }: MachineDialsProps) {
  return (
    <>
      <Dial
        label="Mouth of the machine"
        unit="m"
        value={stand.mouthM}
        min={0.2}
        max={3}
        step={0.05}
        onChange={(mouthM) => onStand({ ...stand, mouthM })}
      />
      <Dial
        label="Way to the player"
        unit="m"
        value={stand.playerM}
        min={1}
        max={26}
        step={0.1}
        onChange={(playerM) => onStand({ ...stand, playerM })}
      />
      <div className="border-t-2 border-line pt-1">
        <Dial
          label="Speed"
          unit="m/s"
          value={machine.speedMps}
          words={words}
          {...feederLimits.speedMps}
          max={25}
          step={0.1}
          onChange={(speedMps) => onTurn({ speedMps })}
        />
        <Dial
          label="Elevation"
          unit="°"
          value={machine.elevationDeg}
          {...feederLimits.elevationDeg}
          step={0.5}
          onChange={(elevationDeg) => onTurn({ elevationDeg })}
        />
        <Dial
          label="Topspin, back below 0"
          unit="/min"
          value={machine.spinPerMin}
          min={-3000}
          max={3000}
          step={50}
          onChange={(spinPerMin) => onTurn({ spinPerMin })}
        />
        <Dial
          label="To the side"
          unit="°"
          value={machine.sideDeg}
          {...feederLimits.sideDeg}
          step={0.5}
          onChange={(sideDeg) => onTurn({ sideDeg })}
        />
        <Dial
          label="Interval"
          unit="s"
          value={machine.intervalS}
          {...feederLimits.intervalS}
          max={12}
          step={0.1}
          onChange={(intervalS) => onTurn({ intervalS })}
        />
        <Dial
          label="Scatter of the speed"
          unit="%"
          value={machine.scatterPercent}
          {...feederLimits.scatterPercent}
          step={0.5}
          onChange={(scatterPercent) => onTurn({ scatterPercent })}
        />
        <Dial
          label="Scatter of the direction"
          unit="°"
          value={machine.scatterDeg}
          {...feederLimits.scatterDeg}
          max={6}
          step={0.1}
          onChange={(scatterDeg) => onTurn({ scatterDeg })}
        />
      </div>
    </>
  );
}
