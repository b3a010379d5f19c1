'use client';

import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { frameBeforeS, withFrame, type Frames } from '@/core/video/frames';
import { toggled, type ClipMark, type MarkKind } from '@/core/video/marks';
import { frameAfter, frameBefore, showsFrame, type FramePort } from '@/core/video/step';
import { fileProblem, lengthProblem, playProblem, soundOf, type ClipSound } from './open-clip';

export interface Clip {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly name: string | null;
  readonly url: string | null;
  readonly problem: string | null;
  readonly durationS: number;
  /** Time of the frame that is shown. */
  readonly atS: number;
  readonly playing: boolean;
  readonly rate: number;
  readonly loops: boolean;
  readonly mirrored: boolean;
  /** Whether it has a picture, once that is known. */
  readonly picture: boolean | null;
  /** Its sound; 'reading' until it is decoded, null where there is none. */
  readonly sound: ClipSound | 'reading' | null;
  readonly marks: readonly ClipMark[];
  readonly open: (file: File) => void;
  readonly close: () => void;
  readonly play: () => void;
  readonly pause: () => void;
  readonly seek: (toS: number) => void;
  readonly step: (by: 1 | -1) => Promise<void>;
  readonly setRate: (rate: number) => void;
  readonly setLoops: (on: boolean) => void;
  readonly setMirrored: (on: boolean) => void;
  readonly mark: (kind: MarkKind) => Promise<void>;
  readonly setMarks: (marks: readonly ClipMark[]) => void;
  /** What the element tells. */
  readonly onLoaded: () => void;
  readonly onError: () => void;
  readonly onPlaying: (playing: boolean) => void;
}

/** Where a browser cannot be asked which frame is shown, it is waited so long for one to tell, milliseconds. Ours. */
const noFrameMs = 400;

/** A seek that is not answered for so long is given up, and another can be asked for, milliseconds. Ours. */
const noAnswerMs = 3000;

/** The time of the frame an element shows now; null where the browser cannot say. */
function shownNow(element: HTMLVideoElement): number | null {
  if (typeof VideoFrame === 'undefined') return null;
  try {
    const frame = new VideoFrame(element);
    const seconds = frame.timestamp / 1e6;
    frame.close();
    return seconds;
  } catch {
    // A file without a picture shows none.
    return null;
  }
}

/** One clip, opened on this device: its frames by their true times, its marks, and its sound. Nothing of it is sent. */
export function useClip(): Clip {
  const video = useRef<HTMLVideoElement | null>(null);
  const frames = useRef<Frames>([]);
  const shownS = useRef(0);
  const stepping = useRef(false);
  /** Goes up with every move somebody asks for: what looks at a frame beside this one does not come back after it. */
  const moves = useRef(0);
  /** Goes up with every clip: what was asked of an earlier one is not meant for this one. */
  const opened = useRef(0);
  /** Resolves when what was last asked for on the line of time is shown. */
  const sought = useRef<Promise<void>>(Promise.resolve());
  const [file, setFile] = useState<{ readonly name: string; readonly url: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [durationS, setDurationS] = useState(0);
  const [atS, setAtS] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [rate, setRateTo] = useState(1);
  const [loops, setLoops] = useState(false);
  const [mirrored, setMirrored] = useState(false);
  const [picture, setPicture] = useState<boolean | null>(null);
  const [sound, setSound] = useState<Clip['sound']>(null);
  const [marks, setMarks] = useState<readonly ClipMark[]>([]);
  const url = file?.url ?? null;
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);

  const shows = useCallback((seconds: number) => {
    shownS.current = seconds;
    frames.current = withFrame(frames.current, seconds);
    setAtS(seconds);
  }, []);
  // Every frame that is shown tells its own time, whatever the rate of the clip.
  useEffect(() => {
    const element = video.current;
    if (!element || !url || !('requestVideoFrameCallback' in element)) return;
    let asked = 0;
    const next: VideoFrameRequestCallback = (_, { mediaTime }) => {
      // A step looks for its frame: what it shows on the way is not where it stands.
      // And what it tells may be late: while it stands, the frame that is shown is asked for.
      if (!stepping.current) shows((element.paused ? shownNow(element) : null) ?? mediaTime);
      asked = element.requestVideoFrameCallback(next);
    };
    asked = element.requestVideoFrameCallback(next);
    return () => element.cancelVideoFrameCallback(asked);
  }, [url, shows]);

  /** Goes to a moment and waits for the frame that is shown there. */
  const seekShown = useCallback((toS: number): Promise<number> => {
    const element = video.current!;
    // Where it stands already, nothing is answered.
    if (Math.abs(element.currentTime - toS) < 1e-6)
      return Promise.resolve(shownNow(element) ?? shownS.current);
    return new Promise((resolve) => {
      let told: number | null = null;
      const tells = (element as Partial<HTMLVideoElement>).requestVideoFrameCallback !== undefined;
      const asked = tells
        ? element.requestVideoFrameCallback((_, { mediaTime }) => (told = mediaTime))
        : null;
      const done = (seconds: number) => {
        clearTimeout(timer);
        element.removeEventListener('seeked', answered);
        if (asked !== null) element.cancelVideoFrameCallback(asked);
        resolve(seconds);
      };
      const answered = () => {
        const seconds = shownNow(element);
        if (seconds !== null) done(seconds);
        // A browser that tells no frames shows the one it was sent to.
        else if (!tells) done(element.currentTime);
        else setTimeout(() => done(told ?? shownS.current), told === null ? noFrameMs : 0);
      };
      const timer = setTimeout(() => done(told ?? shownS.current), noAnswerMs);
      element.addEventListener('seeked', answered);
      element.currentTime = toS;
    });
  }, []);
  const step = useCallback(
    async (by: 1 | -1) => {
      const element = video.current;
      if (!element || stepping.current) return;
      stepping.current = true;
      try {
        element.pause();
        await sought.current;
        const port: FramePort = { seek: seekShown, durationS: element.duration };
        const from = shownS.current;
        shows(await (by > 0 ? frameAfter(port, from) : frameBefore(port, from)));
      } finally {
        stepping.current = false;
      }
    },
    [seekShown, shows],
  );

  /** Marks the frame that is shown; the one before it is looked at, for how exact that is. */
  const mark = async (kind: MarkKind) => {
    const element = video.current;
    if (!element || stepping.current) return;
    const clip = opened.current;
    let at: number;
    stepping.current = true;
    try {
      await sought.current;
      at = shownS.current;
      const asked = moves.current;
      const port: FramePort = { seek: seekShown, durationS: element.duration };
      frames.current = withFrame(frames.current, await frameBefore(port, at));
      if (moves.current === asked) await showsFrame(port, at);
    } finally {
      stepping.current = false;
    }
    // Another clip may have been opened while this frame was looked for.
    if (clip !== opened.current) return;
    setMarks((now) => toggled(now, { kind, atS: at, frameS: frameBeforeS(frames.current, at) }));
  };

  const open = (chosen: File) => {
    const cannot = fileProblem(chosen);
    setProblem(cannot);
    if (cannot) return;
    frames.current = [];
    shownS.current = 0;
    setMarks([]);
    setAtS(0);
    setDurationS(0);
    setPicture(null);
    setSound('reading');
    const next = { name: chosen.name, url: URL.createObjectURL(chosen) };
    setFile(next);
    const mine = (opened.current += 1);
    // A long clip's sound may be read after another clip was opened: that one is not counted with it.
    void soundOf(chosen).then((read) => opened.current === mine && setSound(read));
  };
  const close = () => {
    opened.current += 1;
    setFile(null);
    setProblem(null);
    setSound(null);
  };
  const measured = () => {
    const element = video.current!;
    const long = lengthProblem(file?.name ?? '', element.duration);
    if (long) {
      close();
      return setProblem(long);
    }
    setDurationS(element.duration);
    setPicture(element.videoWidth > 0);
  };
  const onLoaded = () => {
    const element = video.current!;
    if (Number.isFinite(element.duration)) return measured();
    // What a browser records does not say how long it is before its end was looked at.
    element.addEventListener(
      'durationchange',
      () => {
        element.currentTime = 0;
        measured();
      },
      { once: true },
    );
    element.currentTime = 1e7;
  };
  return {
    video,
    url,
    problem,
    durationS,
    atS,
    playing,
    rate,
    loops,
    mirrored,
    picture,
    sound,
    marks,
    name: file?.name ?? null,
    open,
    close,
    step,
    mark,
    setLoops,
    setMirrored,
    setMarks,
    onLoaded,
    play: () => {
      moves.current += 1;
      void video.current?.play();
    },
    pause: () => video.current?.pause(),
    seek: (toS) => {
      moves.current += 1;
      const element = video.current;
      if (!element) return;
      if (element.paused && picture) sought.current = seekShown(toS).then(shows);
      else element.currentTime = toS;
    },
    setRate: (next) => {
      setRateTo(next);
      if (video.current) video.current.playbackRate = next;
    },
    onError: () => setProblem(playProblem(file?.name ?? 'This file', video.current?.error?.code)),
    onPlaying: setPlaying,
  };
}
