import type { Rectangle } from './pack';

type Sides = Pick<Rectangle, 'width' | 'height'>;

/** Rounding must not keep out what fits exactly, metres. */
const give = 1e-9;
/** More cuts than this along a side are not tried in a pinwheel: what is that large loses little. Ours. */
const mostCuts = 24;

/** Where a cut can be: some lanes upright and some turned, one after the other, fill what lies before it. */
function cutsOf(side: number, { width, height }: Sides): number[] {
  const cuts = new Set<number>();
  for (let a = 0; a * width < side + give; a++)
    for (let b = 0; a * width + b * height < side + give; b++)
      cuts.add(Math.round(1e6 * (a * width + b * height)) / 1e6);
  return [...cuts].filter((cut) => cut > give && cut < side - give).sort((a, b) => a - b);
}

const moved = (all: readonly Rectangle[], x: number, y: number): Rectangle[] =>
  all.map((one) => ({ ...one, x: one.x + x, y: one.y + y }));

/** All of them upright, in rows. */
function inRows(room: Sides, { width, height }: Sides): Rectangle[] {
  const [across, rows] = [Math.floor(room.width / width + give), Math.floor(room.height / height + give)];
  return Array.from({ length: across * rows }, (_, n) => ({
    x: (n % across) * width,
    y: Math.floor(n / across) * height,
    width,
    height,
  }));
}

/**
 * As many equal rectangles as were found to fit into a room, upright or turned: in rows, in two rooms a straight cut makes,
 * each packed in the same way, or in a pinwheel of four round a fifth. It need not be the most there are.
 * Source: R. Morabito and S. Morales, A simple and effective recursive procedure for the manufacturer's pallet loading
 * problem, Journal of the Operational Research Society 49 (1998), from memory.
 * @param want it stops with so many
 */
export function packEqual(room: Sides, size: Sides, want = Infinity): Rectangle[] {
  const known = new Map<string, Rectangle[]>();
  const turned = { width: size.height, height: size.width };
  const bound = ({ width, height }: Sides) =>
    Math.min(want, Math.floor((width * height) / (size.width * size.height) + give));

  const cut = (part: Sides): Rectangle[] => {
    const key = `${part.width.toFixed(4)} ${part.height.toFixed(4)}`;
    const before = known.get(key);
    if (before) return before;
    let best = inRows(part, size);
    const other = inRows(part, turned);
    if (other.length > best.length) best = other;
    const most = bound(part);
    for (const x of cutsOf(part.width, size)) {
      if (best.length >= most) break;
      const left = cut({ ...part, width: x });
      const right = cut({ ...part, width: part.width - x });
      if (left.length + right.length > best.length) best = [...left, ...moved(right, x, 0)];
    }
    for (const y of cutsOf(part.height, size)) {
      if (best.length >= most) break;
      const low = cut({ ...part, height: y });
      const high = cut({ ...part, height: part.height - y });
      if (low.length + high.length > best.length) best = [...low, ...moved(high, 0, y)];
    }
    known.set(key, best);
    return best;
  };
  const best = cut(room);
  return (best.length >= bound(room) ? best : pinwheel(room, size, cut, best, bound(room))).slice(
    0,
    bound(room),
  );
}

/** Four rooms round a fifth, each cut straight; what was found before where none is better. */
function pinwheel(
  { width, height }: Sides,
  size: Sides,
  cut: (part: Sides) => Rectangle[],
  before: Rectangle[],
  most: number,
): Rectangle[] {
  const [across, along] = [cutsOf(width, size), cutsOf(height, size)];
  if (across.length > mostCuts || along.length > mostCuts) return before;
  let best = before;
  const pairs = (cuts: readonly number[]) =>
    cuts.flatMap((a, n) => cuts.slice(n).map((b) => [a, b] as const));
  const ys = pairs(along);
  for (const [x1, x2] of pairs(across))
    for (const [y1, y2] of ys) {
      const rooms: readonly Rectangle[] = [
        { x: 0, y: 0, width: x2, height: y1 },
        { x: x2, y: 0, width: width - x2, height: y2 },
        { x: x1, y: y2, width: width - x1, height: height - y2 },
        { x: 0, y: y1, width: x1, height: height - y1 },
        { x: x1, y: y1, width: x2 - x1, height: y2 - y1 },
      ];
      const found = rooms.reduce((sum, room) => sum + cut(room).length, 0);
      if (found <= best.length) continue;
      best = rooms.flatMap((room) => moved(cut(room), room.x, room.y));
      if (best.length >= most) return best;
    }
  return best;
}
