# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../refusal"

module NutShelf
  module Desk
    # A thing that was to be done before an event is done, or is not after all. Filling water makes a stack of it,
    # dated; nothing else touches stock.
    class TickTask < Act
      FILL = "fill-water"
      CONTAINER_ML = 10_000

      private

      # @param input [Hash] :event_id, :key of a task, :done, :place_id where filled water stands (nil: the first shelf)
      def perform(input)
        event = house.records.lock("event", input[:event_id])
        task = work.catalog.kits.event_tasks.find { |one| one.key == input[:key] }
        raise Refusal.of(:no_such_task, at: "/key") unless task
        raise Refusal.of(:says_that_already) if event.ticked.key?(task.key) == input[:done]

        ticked = entry("tick_task", input[:done] ? "Done: #{task.name}" : "Not done after all: #{task.name}")
        ticked.alter("event", event, { ticked: ticks(event, task, input[:done]) })
        lot = input[:done] && task.key == FILL && fill(ticked, event, input[:place_id])
        done(ticked, event_id: event.id, **(lot ? { lot_id: lot.id } : {}))
      end

      def ticks(event, task, done)
        done ? { **event.ticked, task.key => work.tick } : event.ticked.except(task.key)
      end

      # Containers of ten litres, and what is left over.
      def fill(ticked, event, place_id)
        return unless event.fill_l.positive?

        whole = event.fill_l * 1000
        count = (whole / CONTAINER_ML).ceil
        NewStack.new(work, {
          food_id: house.foods.ids_by_key.fetch("tap-water"), place_id: place(place_id), count: count.to_s,
          amount: Core::Decimal.print((whole / count).floor), unit: "ml", price_minor: 0, bought_for: event.name
        }).write(ticked)
      end

      def place(id)
        return work.place_in_use(id).id if id

        shelves = work.places.values.select { |one| %w[cool_dark cupboard].include?(one.kind) && !one.set_apart? }
        shelves.first&.id or raise Refusal.of(:no_shelf_for_water, at: "/place_id")
      end
    end
  end
end
