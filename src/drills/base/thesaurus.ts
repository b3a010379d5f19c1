/**
 * Words of the trade that mean the same to whoever looks for a drill: common practice, ours. A word stands for all words
 * of its line, whichever of them it is.
 */
const lines: readonly string[] = [
  'footwork feet foot step steps shuffle hops ladder movement',
  'coordination hands catch clap juggle',
  'warm-up warmup loosen series mobility',
  'agility reaction reactions quick first-step call called calls',
  'balance one-leg stand hold still',
  'control touch bounce bounces racket-control feel',
  'rally rallies consistency row wall',
  'accuracy precision target targets aim ring zone',
  'toss serve service ball-toss',
  'volley volleys net catch-hold',
  'topspin spin brush roll',
  'slice backspin underspin cut push',
  'backhand two-handed',
  'technique swing shadow path stroke strokes',
  'fun game games play contest',
  'alone solo wall home',
  'partner pair pairs two',
  'throw throwing overarm',
  'recovery recover back ready',
  'timing rhythm tempo beat',
  'eyes watch tracking track look',
  'low high lob overhead smash',
];

const groups = lines.map((line) => line.split(' ').map((word) => word.replaceAll('-', ' ')));

/** A word with what else may stand for it, itself first. */
export function alike(word: string): readonly string[] {
  const wanted = word.toLowerCase();
  return [...new Set([wanted, ...groups.filter((group) => group.includes(wanted)).flat()])];
}
