declare module 'utif' {
  interface Ifd {
    readonly width: number;
    readonly height: number;
  }
  export function decode(buffer: ArrayBuffer): Ifd[];
  export function decodeImage(buffer: ArrayBuffer, ifd: Ifd): void;
  export function toRGBA8(ifd: Ifd): Uint8Array;
}
