// Named once: a hot loop that looks them up on Math is many times slower where the global object is a proxy (the tests).
const { max, min, round } = Math;

/** Mono sound as numbers from -1 to 1. */
export interface Sound {
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

const headerBytes = 44;

/**
 * A sound as a WAV file: RIFF, PCM, one channel, 16 bits (Microsoft & IBM, Multimedia Programming Interface 1991,
 * from memory). Louder than 1 is cut off at 1.
 */
export function writeWav({ sampleRate, samples }: Sound): Uint8Array {
  const bytes = new Uint8Array(headerBytes + 2 * samples.length);
  bytes.set(wavHeader(sampleRate, samples.length));
  bytes.set(wavSamples(samples), headerBytes);
  return bytes;
}

/** The head of such a file, before so many samples: the file can then be written piece by piece. */
export function wavHeader(sampleRate: number, count: number): Uint8Array {
  const bytes = new Uint8Array(headerBytes);
  const view = new DataView(bytes.buffer);
  const text = (at: number, word: string) => {
    for (let i = 0; i < word.length; i++) view.setUint8(at + i, word.charCodeAt(i));
  };
  text(0, 'RIFF');
  view.setUint32(4, wavBytes(count) - 8, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, 2 * sampleRate, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, 2 * count, true);
  return bytes;
}

/** Bytes of a file of so many samples. */
export const wavBytes = (count: number): number => headerBytes + 2 * count;

/** Samples as they stand in the file. */
export function wavSamples(samples: Float32Array): Uint8Array {
  const bytes = new Uint8Array(2 * samples.length);
  const view = new DataView(bytes.buffer);
  for (let i = 0; i < samples.length; i++)
    view.setInt16(2 * i, round(32767 * max(-1, min(1, samples[i]!))), true);
  return bytes;
}

/**
 * Reads a WAV file of one channel with 16 bits, passing over chunks it does not need.
 * @throws Error, in words, for anything else
 */
export function readWav(bytes: Uint8Array): Sound {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const text = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || text(0) !== 'RIFF' || text(8) !== 'WAVE')
    throw new Error('This is not a WAV file: it does not begin with RIFF and WAVE.');
  let sampleRate = 0;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    const body = at + 8;
    if (text(at) === 'fmt ') {
      if (
        view.getUint16(body, true) !== 1 ||
        view.getUint16(body + 2, true) !== 1 ||
        view.getUint16(body + 14, true) !== 16
      )
        throw new Error('This WAV file is not plain 16-bit sound with one channel: save it as that.');
      sampleRate = view.getUint32(body + 4, true);
    } else if (text(at) === 'data') {
      const count = Math.floor(Math.min(size, bytes.length - body) / 2);
      const samples = new Float32Array(count);
      for (let i = 0; i < count; i++) samples[i] = view.getInt16(body + 2 * i, true) / 32767;
      return { sampleRate, samples };
    }
    at = body + size + (size % 2);
  }
  throw new Error('This WAV file holds no sound: its data chunk is missing.');
}
