import { object, string, type InferType } from 'yup';
import { playerSchema } from './player';

/** Who joins a session that was planned without them: somebody of the squad, or a guest by name and year. */
export const joinSchema = (year: number) => {
  const { name, birthYear, sport } = playerSchema(year).fields;
  return object({
    playerId: string().nullable().default(null),
    guest: object({ name, birthYear, sport }).nullable().default(null),
  }).test('who', 'Nobody was chosen: tick a child or type a guest’s name.', ({ playerId, guest }) =>
    Boolean(playerId ?? guest),
  );
};
export type JoinForm = InferType<ReturnType<typeof joinSchema>>;
