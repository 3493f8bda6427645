# frozen_string_literal: true

require_relative "../../desk/belonging"

module NutShelf
  module Api
    # What was ticked and stands nowhere yet, with where each thing goes and how it came the last time.
    class BoughtView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @belonging = Desk::Belonging.new(work)
      end

      # @return [Hash]
      def call
        rows = @work.house.shopping.bought
        ids = rows.filter_map(&:food_id).uniq
        @belonging.know(ids)
        @last = @work.house.foods.came_last(ids)
        { lines: rows.map { |row| line(row) } }
      end

      private

      def line(row)
        {
          ref: row.ref, text: row.text, food_id: row.food_id, note: row.note, paid_minor: row.paid_minor,
          cost_minor: row.cost_minor, ticked_by: row.ticks.map { |one| one["name"] },
          on: row.ticks.map { |one| one["on"] }.max, **proposed(row)
        }
      end

      # How it came the last time stands in for what the list does not say.
      def proposed(row)
        return { packs: [], place_id: nil, kind: nil, near: false } unless row.food_id

        {
          near: near?(@work.food(row.food_id)),
          packs: packs(row), place_id: @belonging.place(@belonging.row(row.food_id))&.id,
          kind: @last[row.food_id]&.printed_kind || usual_kind(row.food_id)
        }
      end

      # Eaten within days: a day is printed on it, and a month would say too much.
      def near?(food) = Core::Food::PERISHABLE.include?(food.aisle) && food.aisle != "Frozen"

      def usual_kind(food_id)
        kind = @work.food(food_id).date_kind_usual
        %w[best_before use_by].include?(kind) ? kind : nil
      end

      UNITS = { "mass" => "g", "volume" => "ml", "count" => "piece" }.freeze
      private_constant :UNITS

      def packs(row)
        return row.packs.map { |pack| pack(pack["count"], pack["amount"], pack["dimension"]) } if row.packs.any?
        return [pack(1, Core::Decimal.print(row.amount), row.dimension)] if row.amount

        last = @last[row.food_id]
        last&.pack_amount ? [pack(1, Core::Decimal.print(last.pack_amount), last.dimension)] : []
      end

      # What comes by the piece is counted piece by piece.
      def pack(count, amount, dimension)
        return { count: Core::Decimal.print(amount.to_r * count), amount: "1", unit: "piece" } if dimension == "count"

        { count: count.to_s, amount: amount, unit: UNITS.fetch(dimension) }
      end
    end
  end
end
