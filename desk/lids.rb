# frozen_string_literal: true

require_relative "../core/value"

module NutShelf
  module Desk
    # What freezes swells, so jars and tubs of soup go into the freezer with loose lids: the day after, they are
    # tightened.
    class Lids
      # A stack that was frozen yesterday. Frozen.
      Task = Core::Value.of(:lot_id, :name, :amount, :place)

      VESSELS = %w[jar tub].freeze
      SOUP = "class-cooked-soup-stew"

      # @param work [UnitOfWork]
      # @param shelf [Core::Shelf]
      def initialize(work, shelf)
        @work = work
        @shelf = shelf
      end

      # @return [Array<Task>] for today
      def tasks
        swelling.select { |stack| frozen_yesterday?(@work.house.lots.one(stack.id)) }.map do |stack|
          Task.new(
            lot_id: stack.id, name: stack.name(@shelf.foods.fetch(stack.food_key)), place: stack.place,
            amount: @work.part_words(stack, stack.on_hand)
          )
        end
      end

      private

      def swelling
        @shelf.stacks.each_value.select do |stack|
          stack.in_freezer && stack.on_hand.positive? &&
            (@shelf.foods.fetch(stack.food_key).class_key == SOUP || vessels.include?(stack.container_id))
        end
      end

      def vessels
        @vessels ||= @work.house.containers.all.select { |one| VESSELS.include?(one.kind) }.to_set(&:id)
      end

      # It was carried there, or it went there as it was made.
      def frozen_yesterday?(row)
        carried = row.history.reverse.find { |event| %w[moved frozen].include?(event["kind"]) }
        day = carried ? carried["on"] : row.made_on&.iso8601
        day == (@work.today - 1).iso8601
      end
    end
  end
end
