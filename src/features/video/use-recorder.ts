'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { mediaTrouble, noMediaHere } from '@/court/media-trouble';

/** A clip from the camera is so long at most, seconds: it stays in memory. Ours. */
const longestS = 120;

const asked = { what: 'camera', instead: 'open a file' } as const;

/** Records a clip with this device's camera, into memory alone; the camera is let go when it stops. */
export function useRecorder(onClip: (file: File) => void): {
  readonly recording: boolean;
  readonly problem: string | null;
  readonly start: () => Promise<void>;
  readonly stop: () => void;
} {
  const recorder = useRef<MediaRecorder | null>(null);
  const [recording, setRecording] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  /** Goes up with every start and when the page is gone: what was asked for before is not wanted any more. */
  const turn = useRef(0);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(
    () => () => {
      turn.current += 1;
      stop();
    },
    [stop],
  );
  const start = async () => {
    setProblem(null);
    const cannot = noMediaHere(asked);
    if (cannot) return setProblem(cannot);
    if (recorder.current?.state === 'recording') return;
    const mine = (turn.current += 1);
    let stream: MediaStream | null = null;
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', frameRate: { ideal: 60 } },
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
      // The page may be gone by the time somebody allowed it, or it was asked for once more.
      if (turn.current !== mine) return letGo(stream);
      recorder.current = recordedFrom(stream, stop, (file) => {
        if (turn.current !== mine) return;
        setRecording(false);
        onClip(file);
      });
      setRecording(true);
    } catch (error) {
      if (stream) letGo(stream);
      if (turn.current === mine) setProblem(mediaTrouble(error, asked));
    }
  };
  return { recording, problem, start, stop };
}

const letGo = (stream: MediaStream): void => {
  for (const track of stream.getTracks()) track.stop();
};

/** A recorder that runs: it lets go of the camera when it stops, and says what it has. */
function recordedFrom(stream: MediaStream, stop: () => void, onFile: (file: File) => void): MediaRecorder {
  const parts: Blob[] = [];
  const made = new MediaRecorder(stream);
  const timer = setTimeout(stop, 1000 * longestS);
  made.ondataavailable = ({ data }) => parts.push(data);
  made.onstop = () => {
    clearTimeout(timer);
    letGo(stream);
    const type = made.mimeType || 'video/webm';
    onFile(new File(parts, 'From the camera', { type: type.split(';')[0] }));
  };
  made.start();
  return made;
}
