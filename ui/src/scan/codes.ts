import BarcodeFormat from "@zxing/library/esnext/core/BarcodeFormat";
import BinaryBitmap from "@zxing/library/esnext/core/BinaryBitmap";
import DataMatrixReader from "@zxing/library/esnext/core/datamatrix/DataMatrixReader";
import DecodeHintType from "@zxing/library/esnext/core/DecodeHintType";
import NotFoundException from "@zxing/library/esnext/core/NotFoundException";
import GlobalHistogramBinarizer from "@zxing/library/esnext/core/common/GlobalHistogramBinarizer";
import HybridBinarizer from "@zxing/library/esnext/core/common/HybridBinarizer";
import RGBLuminanceSource from "@zxing/library/esnext/core/RGBLuminanceSource";
import Code128Reader from "@zxing/library/esnext/core/oned/Code128Reader";
import MultiFormatUPCEANReader from "@zxing/library/esnext/core/oned/MultiFormatUPCEANReader";
import QRCodeReader from "@zxing/library/esnext/core/qrcode/QRCodeReader";
import type Reader from "@zxing/library/esnext/core/Reader";
import type Result from "@zxing/library/esnext/core/Result";

/** The codes that stand on food and on our own labels; every further kind would only make the page heavier. */
const HINTS = new Map<DecodeHintType, unknown>([
  [
    DecodeHintType.POSSIBLE_FORMATS,
    [BarcodeFormat.EAN_13, BarcodeFormat.EAN_8, BarcodeFormat.UPC_A, BarcodeFormat.CODE_128],
  ],
]);

export class FoodCodes implements Reader {
  private readonly readers: Reader[] = [
    new QRCodeReader(),
    new MultiFormatUPCEANReader(HINTS),
    new Code128Reader(),
    new DataMatrixReader(),
  ];

  decode(image: BinaryBitmap): Result {
    for (const reader of this.readers) {
      try {
        return reader.decode(image, HINTS);
      } catch {
        reader.reset();
      }
    }
    throw new NotFoundException();
  }

  reset(): void {
    this.readers.forEach((reader) => reader.reset());
  }
}

const READER = new FoodCodes();

/** The code in a grey picture, or null when there is none in it. */
export function readPicture(pixels: Uint8ClampedArray, width: number, height: number): string | null {
  const light = new RGBLuminanceSource(pixels, width, height);
  for (const Binarizer of [HybridBinarizer, GlobalHistogramBinarizer]) {
    try {
      return READER.decode(new BinaryBitmap(new Binarizer(light))).getText();
    } catch {
      READER.reset();
    }
  }
  return null;
}
