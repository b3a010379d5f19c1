'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** A clip from the camera is so long at most, seconds: it stays in memory. Ours. */
const longestS = 120;

/** Why no camera could be opened, and what mends it. */
export function cameraTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError')
    return 'The camera was refused. Allow it beside the address of this page, then press again.';
  if (name === 'NotFoundError') return 'No camera is there. Open a file instead.';
  if (name === 'NotReadableError') return 'Another program has the camera. Close it there, then press again.';
  return `The camera could not be opened (${name || String(error)}). Open a file instead.`;
}

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
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices)
      return setProblem(
        'This address is plain http, where browsers give no page a camera. Open Vow Step on this device itself or by https, or open a file.',
      );
    try {
      const stream = await devices.getUserMedia({
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
      setProblem(cameraTrouble(error));
    }
  };
  return { recording, problem, start, stop };
}
