# frozen_string_literal: true

module NutShelf
  module Core
    # The check digit of trade item numbers (EAN-8, UPC-A, EAN-13, GTIN-14). Source: GS1 General Specifications,
    # modulo 10 with weights 3 and 1 from the right.
    module CheckDigit
      LENGTHS = [8, 12, 13, 14].freeze

      module_function

      # @param digits [String] the number without its check digit
      # @return [Integer] 0 to 9
      def of(digits)
        sum = digits.reverse.each_char.with_index.sum { |digit, index| digit.to_i * (index.even? ? 3 : 1) }
        (10 - (sum % 10)) % 10
      end

      # @param code [String]
      # @return [Boolean] a number of a known length whose check digit is right
      def valid?(code) = code.match?(/\A\d+\z/) && LENGTHS.include?(code.length) && of(code[0..-2]) == code[-1].to_i

      # @param code [String] valid
      # @return [String] 14 digits, so that the same item is the same number however it was printed
      def gtin14(code) = code.rjust(14, "0")
    end
  end
end
