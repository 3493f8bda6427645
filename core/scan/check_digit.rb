# frozen_string_literal: true

module NutShelf
  module Core
    # The check digit of trade item numbers (EAN-8, UPC-A, UPC-E, EAN-13, GTIN-14), and the one number an item has
    # however it was printed. Source: GS1 General Specifications: modulo 10 with weights 3 and 1 from the right;
    # zero-suppressed UPC-E; restricted circulation numbers 02 and 20 to 29.
    module CheckDigit
      LENGTHS = [8, 12, 13, 14].freeze
      # Codes of the shop itself: a figure for this very piece stands in them, a weight or a price.
      OF_THE_SHOP = /\A(?:2\d|02)/
      ITEM = 7
      FIGURE = (7..11)

      module_function

      # @param digits [String] the number without its check digit
      # @return [Integer] 0 to 9
      def of(digits)
        sum = digits.reverse.each_char.with_index.sum { |digit, index| digit.to_i * (index.even? ? 3 : 1) }
        (10 - (sum % 10)) % 10
      end

      # @param code [String]
      # @return [Boolean] a number of a known length whose check digit is right
      def valid?(code) = code.match?(/\A\d+\z/) && LENGTHS.include?(code.length) && (adds_up?(code) || short?(code))

      # @param code [String] valid
      # @return [String] 14 digits, so that the same item is the same number however it was printed
      def gtin14(code) = (short?(code) ? long(code) : code).rjust(14, "0")

      # @param code [String] valid
      # @return [Array(String, String), nil] the item as 14 digits with nothing for the figure, and the figure; nil for
      #   any other code
      def of_the_shop(code)
        whole = gtin14(code)[1..]
        return unless code.length.between?(12, 13) && whole.match?(OF_THE_SHOP)

        item = "#{whole[0, ITEM]}00000"
        ["0#{item}#{of(item)}", whole[FIGURE]]
      end

      # @return [Boolean]
      def adds_up?(code) = of(code[0..-2]) == code[-1].to_i

      # Eight digits that begin with 0 or 1 are a shortened UPC where the long one adds up.
      def short?(code) = code.match?(/\A[01]\d{7}\z/) && adds_up?(long(code))

      # @param code [String] UPC-E: number system, six digits, check digit
      # @return [String] UPC-A
      def long(code)
        system = code[0]
        digits = code[1, 6]
        check = code[7]
        body =
          case digits[5]
          when "0", "1", "2"
            "#{digits[0, 2]}#{digits[5]}0000#{digits[2, 3]}"
          when "3"
            "#{digits[0, 3]}00000#{digits[3, 2]}"
          when "4"
            "#{digits[0, 4]}00000#{digits[4]}"
          else
            "#{digits[0, 5]}0000#{digits[5]}"
          end
        "#{system}#{body}#{check}"
      end
    end
  end
end
