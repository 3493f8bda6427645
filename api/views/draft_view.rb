# frozen_string_literal: true

require_relative "../../desk/belonging"
require_relative "../../desk/household_lexicon"
require_relative "../../desk/new_stack"
require_relative "../../desk/redate"
require_relative "scan_view"

module NutShelf
  module Api
    # A label line's draft as JSON: names resolved to this household's ids, and the date it would get.
    class DraftView
      # While one of these is open, any date shown would be a guess.
      DATED = %w[date date_kind opened_on frozen_on thawed_on food price_or_date].freeze

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @words = Desk::HouseholdLexicon.new(work)
      end

      # @param text [String]
      # @param filling [Integer, nil] id of the place things were put into just now
      # @return [Hash]
      def call(text, filling: nil)
        @filling = filling
        scanned(text) || read(text)
      end

      private

      def read(text)
        draft = @words.reader.read(text, today: @work.on)
        food = @words.rows[draft.food]
        place = @words.place(draft.place)
        {
          count: Core::Decimal.print(draft.count),
          amount: draft.amount && Core::Decimal.print(draft.amount),
          unit: draft.unit,
          amount_text: amount_text(draft),
          food: food && { id: food.id, name: food.name },
          label: draft.label,
          date: draft.date&.iso8601,
          date_kind: draft.date_kind,
          opened_on: draft.opened_on&.iso8601,
          frozen_on: draft.frozen_on&.iso8601,
          thawed_on: draft.thawed_on&.iso8601,
          place: place && { id: place.id, name: place.name },
          price_minor: draft.price_minor,
          state: draft.state,
          questions: draft.questions.map { |question| question(question) },
          unread: draft.unread,
          notes: draft.notes,
          lot_text: draft.lot_text,
          spans: draft.spans,
          **home(draft, food, place)
        }
      end

      # A place that was asked for and is not there is the person's to choose; where nobody said one, the usual one
      # counts.
      def home(draft, food, place)
        asked = draft.questions.any? { |question| question.field == "place" }
        usual =
          if food && !place && !asked
            belonging.place(food, state: draft.frozen_on ? "frozen" : draft.state, filling: @filling)
          end
        { usual_place: usual && { id: usual.id, name: usual.name }, effect: effect(draft, food, place || usual) }
      end

      def usual(food_id)
        place = belonging.place(@work.food_row(food_id), filling: @filling)
        place && { id: place.id, name: place.name }
      end

      def belonging = @belonging ||= Desk::Belonging.new(@work)

      # A scanner that types sends a code where a person types words.
      def scanned(text)
        scan = ScanView.new(@work).call(text)
        return if %w[text stack unknown_stack].include?(scan[:kind])

        draft = scan[:draft] || {}
        known = scan[:food]
        trouble = known ? weighed(scan[:figure]) : [{ field: "code", text: scan[:words], answers: [] }]
        {
          count: draft[:count] || "1",
          amount: draft[:amount],
          unit: draft[:unit],
          amount_text: scanned_amount(draft),
          food: known,
          label: nil,
          date: draft[:printed_on] || draft[:made_on],
          date_kind: draft[:printed_kind] || (draft[:made_on] && "made"),
          opened_on: nil,
          frozen_on: nil,
          thawed_on: nil,
          place: nil,
          price_minor: nil,
          state: nil,
          questions: trouble,
          unread: [],
          notes: known && !scan[:figure] ? [scan[:words]].reject(&:empty?) : [],
          lot_text: draft[:lot_text],
          spans: {},
          usual_place: known && usual(known[:id]),
          effect: nil
        }
      end

      # The shop's own figure is a weight or a price; nothing says which.
      def weighed(figure)
        return [] unless figure

        grams = figure.to_i
        weight = { text: @work.size(Core::Quantity.new(grams.to_r, :mass)), value: grams.to_s }
        [
          {
            field: "amount",
            text: "How much is it?",
            answers: [*(weight if grams.positive?), { text: "#{figure} is the price", value: "" }]
          }
        ]
      end

      def scanned_amount(draft)
        return "a pack" unless draft[:amount]

        pack = @work.size(Core::Quantity.of(draft[:amount], draft[:unit]))
        draft[:count] == "1" ? pack : "#{draft[:count]} x #{pack}"
      end

      # Answers that are foods or places are sent as ids.
      def question(question)
        answers =
          question.answers.map { |answer| { text: answer[:text], value: value(question.field, answer[:value]).to_s } }
        { field: question.field, text: question.text, answers: answers }
      end

      def value(field, value)
        case field
        when "food"
          @words.rows[value]&.id || value
        when "place"
          @words.place(value)&.id || value
        else
          value
        end
      end

      def amount_text(draft)
        return Core::Wording.counted(draft.count, draft.unit || "pack") unless draft.amount

        size = Core::Quantity.new(draft.amount, Core::Unit.dimension(draft.unit))
        Core::Wording.stack(size * draft.count, pack: size, measures: @work.measures)
      end

      # The date the stack would get, computed by the same rules, where enough is known.
      def effect(draft, food, place)
        return if food.nil? || place.nil? || draft.questions.any? { |question| DATED.include?(question.field) }

        stack = Desk::NewStack.new(@work, input(draft, food, place))
        lot = Store::Rows::Lot.new(**stack.facts(dry: true), start_place_id: place.id)
        dating = Desk::Redate.new(@work).judge(lot)
        { usable_until: dating.usable_until&.iso8601, state: dating.state, steps: dating.steps }
      rescue Desk::Invalid
        nil
      end

      def input(draft, food, place)
        kind = draft.date_kind
        {
          food_id: food.id,
          place_id: place.id,
          count: Core::Decimal.print(draft.count),
          amount: draft.amount && Core::Decimal.print(draft.amount),
          unit: draft.amount && draft.unit,
          noun: draft.amount ? nil : draft.unit,
          state: draft.state,
          opened_on: draft.opened_on,
          frozen_on: draft.frozen_on,
          thawed_on: draft.thawed_on,
          printed_on: %w[best_before use_by].include?(kind) ? draft.date : nil,
          printed_kind: %w[best_before use_by].include?(kind) && draft.date ? kind : nil,
          made_on: %w[made packed].include?(kind) ? draft.date : nil
        }
      end
    end
  end
end
