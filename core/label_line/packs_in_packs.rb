# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # The part of AmountField for packs within packs: "2 packs of 6", "a tray (12 x 330 ml)".
      module PacksInPacks
        # Behind a number these say how many are in one pack.
        PACKS_OF = %w[pack pk ct count].freeze

        private

        # "chickpeas 400 g (8)"
        def in_brackets
          index =
            @line.tokens.each_index.find do |at|
              @line.text(at - 1) == "(" && @line.text(at + 1) == ")" && plain(at)
            end or
            return
          multiply(plain(index), [index - 1, index, index + 1]) unless @count
        end

        def noun_or_unit?(at) = Units.noun(@line.text(at)) || Units.unit(@line.text(at), @settings)

        # "4 packs of 6", "box of 12", "6-pack": packs whose size is a number of pieces.
        def packs_of
          @line.tokens.each_index do |index|
            noun = pack_word(index) or next
            inner = @line.text(index + 1) == "of" && plain(index + 2)
            if inner && !Units.unit(@line.text(index + 3), @settings)
              inner_pack(index, [index, index + 1, index + 2], inner, noun)
            elsif PACKS_OF.include?(@line.text(index)) && (inner = plain(index - 1)) && inner > 1
              inner_pack(index, [index, index - 1], inner, noun)
            elsif noun == "pack" && @line.text(index - 1) == "-" && (inner = plain(index - 2))
              inner_pack(index, [index, index - 1, index - 2], inner, noun)
            end
          end
        end

        def pack_word(index)
          text = @line.text(index)
          %w[ct count].include?(text) && plain(index - 1) ? "pack" : Units.noun(text)
        end

        def inner_pack(index, used, inner, noun)
          outer, length = number_before([index, used.min].min)
          @noun_seen = noun
          @line.claim(:count, used + (outer ? length : []))
          if @size
            @count = (@count || 1r) * (outer || 1) * inner
            @bare = outer.nil?
          else
            @size = Quantity.of(inner, "piece")
            @count = (@count || 1r) * (outer || 1)
          end
        end

        # A number (digits or words) that ends right before `index`.
        def number_before(index)
          [4, 3, 2, 1].each do |back|
            number, length = Numbers.at(@line, index - back)
            return number, ((index - back)...index).to_a if number && length == back
          end
          nil
        end
      end
    end
  end
end
