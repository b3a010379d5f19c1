/** The sound of a clip: samples of one channel. */
export interface ClipSound {
  readonly samples: Float32Array;
  readonly rate: number;
}

/** Longer clips are not looked at: their sound alone would be a gigabyte. Ours. */
export const longestMin = 10;
const largestBytes = 2 * 1024 ** 3;
const soundRate = 48_000;

/** Why a file cannot be looked at, before it is opened; null where it may be. */
export function fileProblem(file: Pick<File, 'name' | 'size' | 'type'>): string | null {
  if (file.size === 0) return `“${file.name}” is empty: choose another file, or record it again.`;
  if (file.size > largestBytes)
    return `“${file.name}” is over 2 GB: cut it to the minutes that matter, then open it again.`;
  if (file.type !== '' && !/^(?:video|audio)\//.test(file.type))
    return `“${file.name}” is no film and no sound: choose an MP4, WebM, MOV, WAV, MP3 or OGG file.`;
  return null;
}

/** What a length means; null where it is fine. @param seconds length of the clip */
export const lengthProblem = (name: string, seconds: number): string | null =>
  seconds > 60 * longestMin
    ? `“${name}” lasts ${seconds >= 7200 ? `${Math.round(seconds / 3600)} hours` : `${Math.round(seconds / 60)} minutes`}: cut it to ${longestMin} minutes at most.`
    : null;

/** What the browser says of a file it cannot play. */
export function playProblem(name: string, code: number | undefined): string {
  // MediaError: 3 decoding failed, 4 not supported.
  return code === 3
    ? `“${name}” is broken in the middle: what can be played stands here. Copy the file once more.`
    : `“${name}” cannot be played here: save it as MP4 (H.264) or WebM, then open it again.`;
}

/** The sound of a file, mixed down to one channel; null where it has none. Decoded here, and sent nowhere. */
export async function soundOf(file: Blob): Promise<ClipSound | null> {
  try {
    const context = new OfflineAudioContext(1, 1, soundRate);
    const decoded = await context.decodeAudioData(await file.arrayBuffer());
    const samples = Float32Array.from(decoded.getChannelData(0));
    for (let channel = 1; channel < decoded.numberOfChannels; channel++) {
      const other = decoded.getChannelData(channel);
      for (let n = 0; n < samples.length; n++) samples[n]! += other[n]!;
    }
    return { samples, rate: decoded.sampleRate };
  } catch {
    // No track of sound, or one the browser cannot read: the picture stands without.
    return null;
  }
}
