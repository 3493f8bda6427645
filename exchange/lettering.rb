# frozen_string_literal: true

require "arabic-letter-connector"
require "ttfunk"

module NutShelf
  module Exchange
    # Which font has a letter, and how letters of every script are laid out from left to right on paper. Fonts are read
    # when a label first needs them.
    module Lettering
      FONTS = File.expand_path("../data/fonts", __dir__)
      FURTHER = %w[wide east-asia thai devanagari bengali tamil telugu gujarati ethiopic].freeze
      # Hebrew and Arabic with their presentation forms.
      FROM_THE_RIGHT = "\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC"
      RUNS = /[#{FROM_THE_RIGHT}](?:[\s#{FROM_THE_RIGHT}]*[#{FROM_THE_RIGHT}])?|[^#{FROM_THE_RIGHT}]+/
      # What no font here has.
      UNKNOWN = "\u25A1"

      module_function

      # @param name [String] of a font in data/fonts
      # @return [String] its path
      def path(name) = File.join(FONTS, "#{name}.ttf")

      # @param text [String]
      # @return [Array<String>] further fonts its letters need, by name
      def fonts_for(text)
        foreign = text.chars.uniq.reject { |letter| has?("label-regular", letter) }
        foreign.empty? ? [] : FURTHER.select { |name| foreign.any? { |letter| has?(name, letter) } }
      end

      # @param text [String] as it is stored
      # @return [String] as it stands on paper, read from left to right; letters no font has are marked
      def laid_out(text)
        text.to_s.tr("−", "-").unicode_normalize(:nfc).lines(chomp: true).map { |line| visual(known(line)) }.join("\n")
      end

      def known(line) = line.chars.map { |letter| letter.match?(/[[:cntrl:]]/) ? " " : drawn(letter) }.join

      def drawn(letter) = ["label-regular", *FURTHER].any? { |name| has?(name, letter) } ? letter : UNKNOWN

      # Runs from the right swap sides with what stands between them; numbers keep their order.
      def visual(line)
        return line unless line.match?(/[#{FROM_THE_RIGHT}]/o)

        line
          .scan(RUNS)
          .reverse
          .map do |run|
            run.match?(/\A[#{FROM_THE_RIGHT}]/o) ? ArabicLetterConnector.transform(run).reverse : turned(run)
          end
          .join
      end

      # Spaces at its ends change sides with it.
      def turned(run) = "#{run[/\s*\z/]}#{run.strip}#{run[/\A\s*/]}"

      def has?(name, letter)
        @maps ||= {}
        map = @maps[name] ||= TTFunk::File.open(path(name)).cmap.unicode.first.code_map
        map.fetch(letter.ord, 0).positive?
      end
    end
  end
end
