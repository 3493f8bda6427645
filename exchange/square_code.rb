# frozen_string_literal: true

require "rqrcode_core"

module NutShelf
  module Exchange
    # A square code (QR, ISO/IEC 18004) with one of the eight masks instead of the best of eight: every mask is right,
    # the choice only balances light and dark, and trying all of them would make twenty sheets take half a minute.
    class SquareCode < RQRCodeCore::QRCode
      MASK = 3

      # @param text [String]
      # @return [Array<Array<Boolean>>] rows of modules, true is dark
      def self.modules(text) = new(text, level: :m).modules

      private

      def get_best_mask_pattern = MASK # rubocop:disable Naming/AccessorMethodName -- the library's own name
    end
  end
end
