# frozen_string_literal: true

require_relative "../exchange/label_sheet"

module NutShelf
  module Desk
    # What stands on a stack's label. Directions stay with the stack when the box is thrown away.
    class StackLabels
      EVENTS = {
        "opened" => "opened", "frozen" => "frozen", "thawed" => "thawed", "cut" => "cut", "cooked" => "cooked"
      }.freeze

      # @param work [UnitOfWork]
      # @param base [String] address of the house, for the square code
      def initialize(work, base)
        @work = work
        @base = base
      end

      # @param ids [Array<Integer>]
      # @return [Array<Exchange::LabelSheet::Label>] in the order asked for
      # @raise [Store::Missing]
      def of(ids)
        lots = @work.house.lots.every(ids.uniq).to_h { |lot| [lot.id, lot] }
        @work.know_foods(lots.values.map(&:food_id))
        ids.map { |id| label(lots[id] || raise(Store::Missing, "There is no such stack here.")) }
      end

      private

      def label(lot)
        Exchange::LabelSheet::Label.new(
          name: lot.name(@work.food(lot.food_id)),
          amount: amount(lot),
          until_words: until_words(lot),
          dates: dates(lot),
          place: @work.place(lot.place_id).name,
          directions: lot.directions,
          bought_for: lot.bought_for,
          code: "#{@base}/s/#{lot.id}",
          mark: @work.mark(lot)
        )
      end

      # A label goes onto one pack.
      def amount(lot)
        if lot.open || lot.pack_amount.nil?
          @work.wording(lot)
        else
          @work.wording(lot, amount: [lot.pack_amount, lot.on_hand].min)
        end
      end

      def until_words(lot)
        return "Not to eat" if lot.stopped

        lot.usable_until ? "Good until #{Core::Words.day(lot.usable_until)}" : "No date known"
      end

      def dates(lot)
        made = lot.made_on ? ["made #{Core::Words.day(lot.made_on)}"] : []
        made + lot.history.filter_map { |event| happened(event) }.uniq
      end

      def happened(event)
        return "#{EVENTS[event["kind"]]} #{day(event)}" if EVENTS.key?(event["kind"])

        "frozen #{day(event)}" if event["kind"] == "moved" && @work.place(event["place_id"]).kind == "freezer"
      end

      def day(event) = Core::Words.day(Date.iso8601(event["on"]))
    end
  end
end
