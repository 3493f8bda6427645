# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # What becomes of a pack once it is opened where there is no fridge: it :keeps, is good for some :days, or must be
      # eaten at one :sitting. Frozen.
      OpenedPack =
        Value.of(:kind, :days) do
          # @param food [Food]
          # @param catalog [Catalog]
          # @param cold [Boolean] whether there is a fridge that runs
          # @return [OpenedPack]
          def self.of(food, catalog, cold: false)
            return new(kind: :keeps) if food.no_opened_limit

            place = cold && food.opened_where == "fridge" ? "fridge" : "cupboard"
            answer = catalog.keeping(food, "opened", place)
            return new(kind: :sitting) unless answer.row?

            answer.row.kind == :safety ? new(kind: :days, days: answer.row.low) : new(kind: :keeps)
          end

          # @return [Boolean]
          def keeps? = kind == :keeps

          # @return [Boolean]
          def sitting? = kind == :sitting
        end
    end
  end
end
