/** One cue of a WebVTT file: shown from one moment to another, seconds. */
export interface VttCue {
  readonly fromS: number;
  readonly untilS: number;
  readonly text: string;
}

/** "00:01:05.250", as WebVTT writes a moment. */
export function vttTime(seconds: number): string {
  const ms = Math.max(0, Math.round(1000 * seconds));
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(ms / 3_600_000))}:${two(Math.floor(ms / 60_000) % 60)}:${two(Math.floor(ms / 1000) % 60)}.${String(ms % 1000).padStart(3, '0')}`;
}

/** Letters WebVTT reads as markup, and the arrow that would end a cue. */
const plain = (text: string) =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .split('\n')
    .map((line) => line.trim())
    .join(' ');

/** A WebVTT file (W3C). Cues that would last no time at all are left out. */
export function writeVtt(title: string, cues: readonly VttCue[]): string {
  const bodies = cues
    .filter((cue) => vttTime(cue.untilS) > vttTime(cue.fromS))
    .map(
      (cue, index) => `${index + 1}\n${vttTime(cue.fromS)} --> ${vttTime(cue.untilS)}\n${plain(cue.text)}\n`,
    );
  return `WEBVTT ${plain(title)}\n\n${bodies.join('\n')}`;
}
