/** What the wall bench was opened with; an empty name where nothing was chosen. */
export interface WallStart {
  readonly playerId: string;
  readonly placeId: string;
  readonly blockId: string;
}
