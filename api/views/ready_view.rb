# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/bench/ready_made"

module NutShelf
  module Api
    # Ready-made food by the price book as JSON, to hold what was made at home against.
    class ReadyView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Hash]
      def call
        {
          packs: Desk::Bench::ReadyMade.new(@work).all.map do |one|
            {
              food_id: one.food_id, name: one.name, price_minor: one.price_minor, kcal: one.kcal.round,
              amount: @work.size(Core::Quantity.new(one.grams.round.to_r, :mass)),
              protein_g: Core::Decimal.print(one.protein_g.round(1))
            }
          end
        }
      end
    end
  end
end
