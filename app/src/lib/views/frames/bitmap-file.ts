const HEADER = 54;

/**
 * Frames that were drawn one above the other, laid beside each other in an uncompressed picture (BMP with a
 * BITMAPINFOHEADER, 24 bits a pixel; Microsoft's reference, from memory): nothing is quicker to write and to show.
 * `pixels`: red, green, blue and opacity of each, the lowest row first, as a graphics context gives them.
 */
export function bitmapFile(
  pixels: Uint8Array,
  widthPx: number,
  heightPx: number,
  count: number,
): Uint8Array<ArrayBuffer> {
  const acrossPx = widthPx * count;
  const rowBytes = 4 * Math.ceil((3 * acrossPx) / 4);
  const file = new Uint8Array(HEADER + rowBytes * heightPx);
  const head = new DataView(file.buffer);
  head.setUint16(0, 0x4d42, true); // BM
  head.setUint32(2, file.length, true);
  head.setUint32(10, HEADER, true);
  head.setUint32(14, 40, true);
  head.setInt32(18, acrossPx, true);
  head.setInt32(22, heightPx, true); // the lowest row first
  head.setUint16(26, 1, true);
  head.setUint16(28, 24, true);
  for (let y = 0; y < heightPx; y += 1) {
    let to = HEADER + y * rowBytes;
    for (let i = 0; i < count; i += 1) {
      // The first frame is the topmost.
      let from = 4 * widthPx * ((count - 1 - i) * heightPx + y);
      for (let x = 0; x < widthPx; x += 1) {
        file[to] = pixels[from + 2];
        file[to + 1] = pixels[from + 1];
        file[to + 2] = pixels[from];
        from += 4;
        to += 3;
      }
    }
  }
  return file;
}
