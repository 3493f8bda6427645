# frozen_string_literal: true

module NutShelf
  module Exchange
    # Which sign in a number is the decimal one. Each cell tells for itself where it can ("3,45", "1.010,40"); "1,125"
    # alone can be one and an eighth or a thousand odd, and then the rest of the file counts, if it speaks with one
    # voice.
    class Figures
      NUMBER = /\d+(?:[.,]\d+)*/
      # 05.2028 is a month.
      MONTH = /\A(?:0?[1-9]|1[0-2])[.,]20\d\d\z/
      # One sign with three digits behind it and no zero before: a fraction or a thousand.
      EITHER = /\A[1-9]\d{0,2}([.,])\d{3}\z/

      # @param cells [Array<String>] of the file
      def initialize(cells)
        @cells = cells
      end

      # @return [String, nil] the decimal sign of the file: "," or ".", nil where it tells none or both
      def sign
        return @sign if defined?(@sign)

        found = @cells.flat_map { |cell| cell.scan(NUMBER) }.grep_v(MONTH).filter_map { |number| sign_in(number) }.uniq
        @sign = found.size == 1 ? found.first : nil
      end

      # @param text [String] a cell, with one number or several
      # @return [Array<String>] the text with decimal points: one reading, or two where nothing tells
      def readings(text)
        doubtful = text.scan(NUMBER).any? { |number| number.match?(EITHER) && sign.nil? }
        (doubtful ? [true, false] : [nil]).map { |fraction| text.gsub(NUMBER) { |number| plain(number, fraction) } }
      end

      private

      # The decimal sign a number shows by itself, nil where it has none or could be either.
      def sign_in(number)
        signs = number.scan(/[.,]/)
        return if signs.empty? || number.match?(EITHER)
        return signs.last if signs.uniq.size == 2

        signs.size == 1 ? signs.first : nil
      end

      def plain(number, fraction)
        decimal = sign_in(number)
        decimal ||= number[/[.,]/] if number.match?(EITHER) &&
          (fraction.nil? ? number.include?(sign.to_s) && sign : fraction)
        number.delete(decimal == "," ? "." : ",").then { |text| decimal ? text.tr(",", ".") : text.delete(".") }
      end
    end
  end
end
