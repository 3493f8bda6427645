# frozen_string_literal: true

require_relative "../../core/scan/scan"
require_relative "../../desk/household_lexicon"
require_relative "stack_view"

module NutShelf
  module Api
    # What a scan means in this household: a stack to open, a pack to put away or count, or a code to learn once.
    class ScanView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param text [String]
      # @return [Hash]
      def call(text)
        result = Core::Scan.read(text, today: @work.today)
        case result.kind
        when :stack
          stack(result.id)
        when :item
          of_shop(item(result.gtin, nil), result.figure)
        when :gs1
          item(result.reading.gtin, result.reading)
        else
          blank.merge(
            kind: result.kind.to_s,
            words:
              if result.kind == :wrong_digit
                "That number does not add up: scan it again."
              else
                "That is no code known here."
              end
          )
        end
      rescue Core::Gs1::Unreadable => e
        blank.merge(kind: "unreadable", words: "#{e.message} #{e.remedy}")
      end

      private

      def blank
        { kind: "text", words: "", stack: nil, code: nil, food: nil, pack: nil, draft: nil, stacks: [], figure: nil }
      end

      def stack(id)
        stack = @work.stacks([id]).first or
          return blank.merge(kind: "unknown_stack", words: "That label belongs to no stack here.")
        blank.merge(
          kind: "stack",
          words: stack.on_hand.positive? ? "Found." : "Nothing of it is left.",
          stack: StackView.new(@work).call(stack)
        )
      end

      # What the shop weighed out carries a figure of its own, and nobody but the shop says which.
      def of_shop(answer, figure)
        return answer unless figure

        ask =
          "A code of the shop itself: #{figure} in it is a weight of #{figure.to_i} g or a price. Say the weight as " \
          "printed."
        draft = answer[:draft] && { **answer[:draft], amount: nil, unit: nil }
        { **answer, pack: nil, draft: draft, figure: figure, words: [answer[:words], ask].reject(&:empty?).join(" ") }
      end

      def item(gtin, reading)
        pack = gtin && @work.house.packs.by_barcode(gtin)
        notes = reading ? reading.notes.join(" ") : ""
        unless pack
          ask = gtin ? "This code is not known yet. Say once what it is." : "It does not say which food it is."
          return (
            blank.merge(
              kind: "unknown_pack",
              words: [ask, notes].reject(&:empty?).join(" "),
              code: gtin,
              draft: draft(nil, reading)
            )
          )
        end

        food = @work.food_row(pack.food_id)
        view = StackView.new(@work)
        blank.merge(
          kind: "pack",
          words: notes,
          code: gtin,
          food: {
            id: food.id,
            name: food.name
          },
          pack: words(pack),
          draft: draft(pack, reading),
          stacks: @work.stacks_like(food_id: food.id).map { |stack| view.call(stack) }
        )
      end

      def words(pack) = @work.size(Core::Quantity.new(pack.amount.to_r, pack.dimension.to_sym))

      def said(reading)
        return unless reading&.net_g || reading&.net_ml

        if reading.net_g
          [Core::Decimal.print(reading.net_g.round(3)), "g"]
        else
          [Core::Decimal.print(reading.net_ml.round(3)), "ml"]
        end
      end

      # What the code says for putting it away; the place is still the person's to say.
      def draft(pack, reading)
        amount =
          said(reading) || (pack && [Core::Decimal.print(pack.amount.to_r), Core::Unit.base(pack.dimension.to_sym)])
        # The shop's own last day is the stricter one; it stands where nothing else does.
        printed = reading&.use_by || reading&.best_before || reading&.sell_by
        {
          food_id: pack&.food_id,
          count: (reading&.count || 1).to_s,
          amount: amount&.first,
          unit: amount&.last,
          printed_on: printed&.iso8601,
          printed_kind: printed && (reading.use_by ? "use_by" : "best_before"),
          made_on: (reading&.made_on || reading&.packed_on)&.then { |day| day <= @work.today ? day.iso8601 : nil },
          lot_text: reading&.lot
        }
      end
    end
  end
end
