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
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const start = async () => {
    setProblem(null);
    const cannot = noMediaHere(asked);
    if (cannot) return setProblem(cannot);
    try {
      const stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', frameRate: { ideal: 60 } },
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
      const parts: Blob[] = [];
      const made = new MediaRecorder(stream);
      recorder.current = made;
      const timer = setTimeout(stop, 1000 * longestS);
      made.ondataavailable = ({ data }) => parts.push(data);
      made.onstop = () => {
        clearTimeout(timer);
        for (const track of stream.getTracks()) track.stop();
        setRecording(false);
        const type = made.mimeType || 'video/webm';
        onClip(new File(parts, 'From the camera', { type: type.split(';')[0] }));
      };
      made.start();
      setRecording(true);
    } catch (error) {
      setProblem(mediaTrouble(error, asked));
    }
  };
  return { recording, problem, start, stop };
}
