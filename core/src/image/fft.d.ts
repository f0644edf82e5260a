declare module 'fft.js' {
  /** Fast Fourier transform of a size that is a power of two. Complex arrays hold real and imaginary parts in turn. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    /** Fills the first half of a complex spectrum; the rest mirrors it. */
    realTransform(spectrum: number[], data: ArrayLike<number>): void;
    /** Fills the second half of a spectrum from the first. */
    completeSpectrum(spectrum: number[]): void;
    inverseTransform(out: number[], spectrum: number[]): void;
  }
}
