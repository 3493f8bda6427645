# frozen_string_literal: true

require_relative "check_digit"
require_relative "gs1"
require_relative "../value"

module NutShelf
  module Core
    # What a scanner's text is: the square code of a stack, a trade item number, a GS1 element string, or none of these.
    module Scan
      # `kind` is :stack (with `id`), :item (with `gtin`), :gs1 (with `reading`), :wrong_digit or :text.
      # `figure`: five digits of a code of the shop itself, a weight or a price. Frozen.
      Result = Value.of(:kind, :id, :gtin, :reading, :figure)

      STACK = %r{(?:\A|/)s/(\d{1,18})\z}

      module_function

      # @param text [String] as the scanner sent it
      # @param today [Date]
      # @return [Result]
      # @raise [Gs1::Unreadable] when it is an element string that breaks the rules
      def read(text, today:)
        text = text.strip
        return Result.new(kind: :stack, id: text[STACK, 1].to_i) if text.match?(STACK)
        return item(text) if CheckDigit.valid?(text)
        return Result.new(kind: :gs1, reading: Gs1.read(text, today: today)) if Gs1.like?(text)

        Result.new(kind: text.match?(/\A(?:\d{8}|\d{12,14})\z/) ? :wrong_digit : :text)
      end

      # @return [Result] of a number under a bar code
      def item(text)
        gtin, figure = CheckDigit.of_the_shop(text) || CheckDigit.gtin14(text)
        Result.new(kind: :item, gtin: gtin, figure: figure)
      end
    end
  end
end
