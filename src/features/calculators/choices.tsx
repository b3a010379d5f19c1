import { ballKinds, balls, type BallKind } from '@/core/ballistics/balls';
import { wallKinds, walls, type WallKind } from '@/core/ballistics/surfaces';
import { Choice } from './dial';

interface Of<T> {
  readonly value: T;
  readonly onChange: (value: T) => void;
}

const ballOptions = ballKinds.map((value) => ({ value, text: balls[value].label }));
const wallOptions = wallKinds.map((value) => ({ value, text: walls[value].label }));

export const BallChoice = (of: Of<BallKind>) => <Choice label="Ball" options={ballOptions} {...of} />;
export const WallChoice = (of: Of<WallKind>) => <Choice label="Wall" options={wallOptions} {...of} />;
