import type { BallKind } from '@/core/ballistics/balls';
import { heightForTempo, tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { FaceKind } from '@/core/ballistics/tap/faces';
import { Dial } from '../dial';
import type { TossSettings } from './toss-work';

export interface DialsProps {
  readonly ball: BallKind;
  readonly face: FaceKind;
  readonly settings: TossSettings;
  readonly onChange: (more: Partial<TossSettings>) => void;
}

export const BounceDials = ({ ball, face, settings, onChange }: DialsProps) => (
  <>
    <Dial
      label="Height over the face"
      unit="cm"
      value={100 * settings.heightM}
      min={5}
      max={150}
      step={1}
      onChange={(cm) => onChange({ heightM: cm / 100 })}
    />
    <Dial
      label="Touches a minute"
      unit=""
      value={tapping(ball, face, settings.heightM).touchesPerMin}
      min={55}
      max={290}
      step={1}
      onChange={(touchesPerMin) => onChange({ heightM: heightForTempo(ball, touchesPerMin) })}
    />
    <Dial
      label="Spread of the time"
      unit="ms"
      value={1000 * settings.spreadS}
      min={5}
      max={150}
      step={1}
      onChange={(milli) => onChange({ spreadS: milli / 1000 })}
    />
  </>
);

export const ClapDials = ({ settings, onChange }: DialsProps) => (
  <>
    <Dial
      label="Claps"
      unit=""
      value={settings.claps}
      min={1}
      max={12}
      step={1}
      onChange={(claps) => onChange({ claps: Math.round(claps) })}
    />
    <Dial
      label="Claps a second"
      unit="1/s"
      value={settings.clapsPerS}
      min={1.5}
      max={7}
      step={0.1}
      onChange={(clapsPerS) => onChange({ clapsPerS })}
    />
  </>
);

export const HoopDials = ({ settings, onChange }: DialsProps) => (
  <Dial
    label="Hoop over the floor"
    unit="m"
    value={settings.hoopM}
    min={1.2}
    max={4.5}
    step={0.05}
    onChange={(hoopM) => onChange({ hoopM })}
  />
);

export const CatchDials = ({ settings, onChange }: DialsProps) => (
  <>
    <Dial
      label="Toss over the head"
      unit="cm"
      value={100 * settings.overHeadM}
      min={10}
      max={200}
      step={5}
      onChange={(cm) => onChange({ overHeadM: cm / 100 })}
    />
    <Dial
      label="The hand sinks"
      unit="cm"
      value={100 * settings.stopM}
      min={2}
      max={50}
      step={1}
      onChange={(cm) => onChange({ stopM: cm / 100 })}
    />
  </>
);
