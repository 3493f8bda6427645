# frozen_string_literal: true

require_relative "../../desk/kits/lasting"
require_relative "kit_words"

module NutShelf
  module Api
    # How long the household would last, as JSON: columns side by side, what runs out first, what one more would change.
    class LastingView
      # @param work [Desk::UnitOfWork]
      # @param kit [Store::Rows::Kit, nil]
      # @param said [Hash] freezer_fill:, wash_l:
      def initialize(work, kit: nil, **said)
        @work = work
        @kit = kit
        @lasting = Desk::Kits::Lasting.new(work, kit: kit, **said)
      end

      # @return [Hash]
      def call
        {
          kit_id: @kit&.id, people: @lasting.who.eaters.map(&:name), stacks: @lasting.stacks.size,
          heat_l: down(@lasting.heat), columns: @lasting.columns.map { |name, found| { name: name, **told(found) } },
          one_more: one_more
        }
      end

      private

      def told(found)
        {
          days: found.days, person_days: found.person_days, runs_out_first: found.runs_out_first&.to_s,
          water_days: found.water_days, food_days: found.food_days, protein_days: found.protein_days,
          formula_days: found.formula_days, pets: found.pets.map { |species, days| { species: species, days: days } },
          day_after: found.day_after.map(&:name),
          cook_water_left_l: found.cook_water_left_l && down(found.cook_water_left_l)
        }
      end

      def one_more
        now = @lasting.columns.fetch("dark_dry")
        @lasting.one_more.map do |name, found|
          { name: name, days: found.days - now.days, person_days: found.person_days - now.person_days }
        end
      end

      def down(number) = KitWords.plain(Core::Kits::Rounding.down(number, 1))
    end
  end
end
