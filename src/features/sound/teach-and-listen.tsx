import { Ear, FlaskConical, Mic } from 'lucide-react';
import { soundsOf, type Hearing } from '@/core/sound/hearing';
import { Button } from '@/ui/button';
import { LevelBar } from './level-bar';
import { Teach } from './teach';
import type { EarState } from './use-ear';

interface Props {
  readonly ear: EarState;
  readonly name: string;
  readonly hearing: Hearing;
  readonly onHearing: (hearing: Hearing) => void;
  readonly onListen: () => void;
  /** Whether a made-up microphone is offered too. */
  readonly practice: boolean;
}

/** Before anything is counted: the microphone is opened, and taught the sounds of this ball in this room. */
export function TeachAndListen({ ear, name, hearing, onHearing, onListen, practice }: Props) {
  const { news } = ear;
  if (ear.state !== 'open')
    return (
      <div className="space-y-3 pt-2">
        <Button
          look="now"
          className="min-h-16 w-full text-lg"
          disabled={ear.state === 'asks'}
          onClick={() => void ear.open(false)}
        >
          <Mic aria-hidden /> {ear.state === 'asks' ? 'The browser asks…' : 'Open the microphone'}
        </Button>
        {practice && (
          <Button className="min-h-12 w-full" onClick={() => void ear.open(true)}>
            <FlaskConical aria-hidden size={18} /> Practice microphone: a made-up child, nothing is kept
          </Button>
        )}
      </div>
    );
  const stopping = news?.conditions.filter(({ stops }) => stops) ?? [];
  const taught = soundsOf(hearing).needed.every((kind) => news?.knows.includes(kind));
  return (
    <div className="space-y-3">
      <div className="flex items-center gap-3">
        <span className="text-sm text-soft">Loudness</span>
        <LevelBar levelDb={news?.levelDb ?? -80} noiseDb={news?.noiseDb ?? -80} />
      </div>
      {ear.wireless && (
        <p className="text-care">
          This is a wireless headset: it hears late and loses the high sounds. The device’s own microphone is
          better.
        </p>
      )}
      <div role="status">
        {news?.conditions.map(({ kind, words, stops }) => (
          <p key={kind} className={stops ? 'font-bold text-stop' : 'text-care'}>
            {words}
          </p>
        ))}
      </div>
      <p className="text-soft">
        First nobody does anything for three seconds, then {name} makes each sound five times, here, with this
        ball.
      </p>
      <Teach ear={ear} hearing={hearing} onHearing={onHearing} />
      <Button
        look="now"
        className="min-h-16 w-full text-lg"
        disabled={!taught || stopping.length > 0}
        onClick={onListen}
      >
        <Ear aria-hidden /> Listen and count
      </Button>
    </div>
  );
}
