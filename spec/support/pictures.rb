# frozen_string_literal: true

require "zlib"

# Small pictures that are what they say, with what a camera writes into them.
module Pictures
  module_function

  def png(width: 1, height: 1, extra: [["eXIf", "GPS 53.3N 6.2W"], ["tEXt", "Author\0Ines"]])
    header = [width, height, 8, 0, 0, 0, 0].pack("NNCCCCC")
    body = Zlib::Deflate.deflate("\0\0")
    "\x89PNG\r\n\x1A\n".b +
      [["IHDR", header], *extra, ["IDAT", body], ["IEND", ""]].map { |type, data| chunk(type, data.b) }.join
  end

  def chunk(type, data) = [data.bytesize].pack("N") + type + data + [Zlib.crc32(type + data)].pack("N")

  def jpeg(width: 1, height: 1)
    exif = segment(0xE1, "Exif\0\0GPS 53.3N 6.2W")
    frame = segment(0xC0, [8, height, width, 1, 1, 0x11, 0].pack("CnnCCCC"))
    "\xFF\xD8".b + segment(0xE0, "JFIF\0\x01\x01\0\0\x01\0\x01\0\0") + exif + frame + "\xFF\xDA\x00\x08scan\xFF\xD9".b
  end

  def segment(code, data) = [0xFF, code, data.bytesize + 2].pack("CCn") + data.b

  def webp(width: 10, height: 20)
    flags = [0x0C].pack("V") + [width - 1].pack("V")[0, 3] + [height - 1].pack("V")[0, 3]
    body = riff("VP8X", flags) + riff("EXIF", "GPS 53.3N") + riff("VP8 ", "pixels")
    "RIFF".b + [body.bytesize + 4].pack("V") + "WEBP".b + body
  end

  def riff(name, data) = name.b + [data.bytesize].pack("V") + data.b + (data.bytesize.odd? ? "\0".b : "".b)
end
