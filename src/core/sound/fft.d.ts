declare module 'fft.js' {
  /** A transform of so many samples, a power of two. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    /** The first half of the transform of real numbers, as pairs of real and imaginary part. */
    realTransform(out: number[] | Float64Array, input: ArrayLike<number>): void;
  }
}
