import { joinBytes } from '@/core/formats/png';

/** Compresses bytes as they come (zlib, RFC 1950), so that no more than a band of rows is ever held uncompressed. */
export class Deflater {
  private readonly stream = new CompressionStream('deflate');
  private readonly writer = this.stream.writable.getWriter();
  private readonly done = this.collect();

  private async collect(): Promise<Uint8Array[]> {
    const reader = this.stream.readable.getReader();
    const parts: Uint8Array[] = [];
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return parts;
      parts.push(value);
    }
  }

  async write(bytes: Uint8Array<ArrayBuffer>): Promise<void> {
    await this.writer.ready;
    await this.writer.write(bytes);
  }

  async end(): Promise<Uint8Array<ArrayBuffer>> {
    await this.writer.close();
    return joinBytes(await this.done);
  }
}

/** PNG's predictor “up” (ISO/IEC 15948, 9.2): each row as its difference from the one above, led by the byte 2. */
export class UpRows {
  private readonly above: Uint8Array;

  constructor(private readonly rowBytes: number) {
    this.above = new Uint8Array(rowBytes);
  }

  /** Filtered rows of a band whose samples `pick` reads. */
  band(rows: number, pick: (row: number, to: Uint8Array) => void): Uint8Array<ArrayBuffer> {
    const out = new Uint8Array(rows * (this.rowBytes + 1));
    const row = new Uint8Array(this.rowBytes);
    for (let y = 0; y < rows; y += 1) {
      pick(y, row);
      const at = y * (this.rowBytes + 1);
      out[at] = 2;
      for (let i = 0; i < this.rowBytes; i += 1) {
        out[at + 1 + i] = (row[i] as number) - (this.above[i] as number);
      }
      this.above.set(row);
    }
    return out;
  }
}

/** The colours of row y of RGBA samples. */
export const rgbRow =
  (data: Uint8ClampedArray, width: number) =>
  (y: number, to: Uint8Array): void => {
    for (let x = 0, i = y * width * 4, o = 0; x < width; x += 1, i += 4, o += 3) {
      to[o] = data[i] as number;
      to[o + 1] = data[i + 1] as number;
      to[o + 2] = data[i + 2] as number;
    }
  };

/** Colours and opacity of row y of RGBA samples. */
export const rgbaRow =
  (data: Uint8ClampedArray, width: number) =>
  (y: number, to: Uint8Array): void =>
    to.set(data.subarray(y * width * 4, (y + 1) * width * 4));

export const alphaRow =
  (data: Uint8ClampedArray, width: number) =>
  (y: number, to: Uint8Array): void => {
    for (let x = 0, i = y * width * 4 + 3; x < width; x += 1, i += 4) to[x] = data[i] as number;
  };
