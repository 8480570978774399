declare module "fft.js" {
  /**
   * Radix-4 transform of `size` (a power of two) complex numbers, real and imaginary parts one after the
   * other.
   */
  export default class FFT {
    constructor(size: number);
    readonly size: number;
    createComplexArray(): number[];
    transform(out: ArrayLike<number>, data: ArrayLike<number>): void;
    realTransform(out: ArrayLike<number>, data: ArrayLike<number>): void;
    completeSpectrum(spectrum: ArrayLike<number>): void;
    inverseTransform(out: ArrayLike<number>, data: ArrayLike<number>): void;
  }
}
