# frozen_string_literal: true

require_relative "../core/limits"
require_relative "errors"

module NutShelf
  module Exchange
    # A photograph as it may be kept: of a kind its own bytes prove, of a size a screen can show, and without what the
    # camera wrote into it besides the picture (where and when it was taken, by whom).
    class Photo
      # What is wrong with a file, in words.
      class Unfit < Error
      end

      KINDS = {
        "image/jpeg" => /\A\xFF\xD8\xFF/n,
        "image/png" => /\A\x89PNG\r\n\x1A\n/n,
        "image/webp" => /\ARIFF....WEBP/mn
      }.freeze
      # Of PNG, what the picture needs; of JPEG, the application segments that say how to read the colours.
      PNG_KEPT = %w[IHDR PLTE IDAT IEND tRNS gAMA sRGB cHRM iCCP sBIT bKGD pHYs].freeze
      JPEG_DROPPED = [*0xE1..0xED, 0xEF, 0xFE].freeze
      JPEG_FRAMES = [*0xC0..0xC3, *0xC5..0xC7, *0xC9..0xCB, *0xCD..0xCF].freeze
      WEBP_DROPPED = ["EXIF", "XMP "].freeze

      attr_reader :media_type, :bytes

      # @param bytes [String]
      # @raise [Unfit]
      def initialize(bytes)
        raw = bytes.b
        if raw.bytesize > Core::Limits::PHOTO_BYTES
          raise Unfit, "The picture is larger than #{Core::Limits::PHOTO_BYTES / 1_000_000} MB."
        end

        @media_type = KINDS.find { |_, start| raw.match?(start) }&.first or
          raise Unfit, "That is no JPEG, PNG or WebP picture."
        @bytes = strip(raw)
        check_size
        freeze
      end

      private

      def strip(raw)
        case media_type
        when "image/jpeg"
          jpeg(raw)
        when "image/png"
          png(raw)
        else
          webp(raw)
        end
      end

      def check_size
        raise Unfit, "The picture's size cannot be read." unless @width&.positive? && @height&.positive?

        most = Core::Limits::PHOTO_SIDE
        return if @width <= most && @height <= most && @width * @height <= Core::Limits::PHOTO_PIXELS

        raise Unfit, "The picture is #{@width} x #{@height} points; #{most} a side is the most."
      end

      # Length, type, data, checksum, until IEND.
      def png(raw)
        kept = raw.byteslice(0, 8)
        at = 8
        while at + 8 <= raw.bytesize
          length, type = raw.byteslice(at, 8).unpack("Na4")
          chunk = raw.byteslice(at, length + 12)
          broken if chunk.nil? || chunk.bytesize < length + 12
          @width, @height = chunk.byteslice(8, 8).unpack("NN") if type == "IHDR"
          kept << chunk if PNG_KEPT.include?(type)
          at += length + 12
          return kept if type == "IEND"
        end
        broken
      end

      # Segments of marker, length, data, up to the scan; from there on it is all picture.
      def jpeg(raw)
        kept = raw.byteslice(0, 2)
        at = 2
        while at + 4 <= raw.bytesize
          mark, code, length = raw.byteslice(at, 4).unpack("CCn")
          broken unless mark == 0xFF && length >= 2
          return kept << raw.byteslice(at..) if code == 0xDA

          segment = raw.byteslice(at, length + 2)
          @height, @width = segment.byteslice(5, 4).unpack("nn") if JPEG_FRAMES.include?(code)
          kept << segment unless JPEG_DROPPED.include?(code)
          at += length + 2
        end
        broken
      end

      # Chunks of name, length, data, padded to even bytes, inside RIFF.
      def webp(raw)
        kept = +"".b
        at = 12
        while at + 8 <= raw.bytesize
          name, length = raw.byteslice(at, 8).unpack("a4V")
          chunk = raw.byteslice(at, 8 + length + (length % 2))
          broken if chunk.nil? || chunk.bytesize < 8 + length
          size_of(name, chunk)
          kept << (name == "VP8X" ? flags_cleared(chunk) : chunk) unless WEBP_DROPPED.include?(name)
          at += 8 + length + (length % 2)
        end
        "RIFF".b + [kept.bytesize + 4].pack("V") + "WEBP".b + kept
      end

      def size_of(name, chunk)
        case name
        when "VP8X"
          @width, @height =
            [12, 15].map do |at|
              chunk.byteslice(at, 3).unpack("CCC").each_with_index.sum { |byte, index| byte << (8 * index) } + 1
            end
        when "VP8 "
          @width, @height = chunk.byteslice(14, 4).to_s.unpack("vv").map { |side| side & 0x3FFF } unless @width
        when "VP8L"
          @width, @height = lossless(chunk) unless @width
        end
      end

      def lossless(chunk)
        bits = chunk.byteslice(9, 4).to_s.unpack1("V") || broken
        [(bits & 0x3FFF) + 1, ((bits >> 14) & 0x3FFF) + 1]
      end

      # The picture no longer claims to carry what was taken out of it.
      def flags_cleared(chunk)
        chunk.dup.tap { |copy| copy.setbyte(8, copy.getbyte(8) & ~0x0C) }
      end

      def broken = raise(Unfit, "The picture did not arrive whole.")
    end
  end
end
