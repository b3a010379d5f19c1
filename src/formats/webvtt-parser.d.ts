declare module 'webvtt-parser' {
  export class WebVTTParser {
    parse(
      input: string,
      mode: 'metadata' | 'chapters' | 'captions',
    ): {
      readonly errors: readonly { readonly message: string }[];
      readonly cues: readonly {
        readonly startTime: number;
        readonly endTime: number;
        readonly text: string;
      }[];
    };
  }
}
