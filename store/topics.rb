# frozen_string_literal: true

module NutShelf
  module Store
    # What a household's writes are about. Each topic has a revision of its own in the household's row, which triggers
    # of the database keep (migration 012): whoever writes to one of its tables raises it.
    module Topics
      TABLES = {
        stock: %i[lots movements price_observations reservations],
        plan: %i[
          recipes recipe_lines recipe_substitutes recipe_texts dishes dish_photos
          meals meal_slots meal_patterns plan_spans
          occasions occasion_times care_rules kits events outages batches
          trips trip_meals box_wants season_lines own_bags
        ],
        people: %i[people pets], counts: %i[counts count_lines],
        list: %i[shops shoppings list_lines wants advice_answers],
        rules: %i[places place_photos foods packs pack_barcodes keeping_rules containers]
      }.freeze
      ALL = TABLES.keys.freeze

      # Read beside the topics: what an act wrote stands or falls with the rows it changed, and who is who comes with
      # the act that made it so.
      BESIDE = %i[acts lot_events lot_sources households accounts memberships].freeze

      module_function

      # @param topic [Symbol]
      # @return [Symbol] the column that holds its revision
      def column(topic) = :"#{topic}_revision"

      # @param house [Rows::Household]
      # @return [Integer] when it was last written to
      def revision(house, topic) = house.public_send(column(topic))

      # @param house [Rows::Household]
      # @param topics [Array<Symbol>]
      # @return [Array<Integer>] their revisions
      def revisions(house, topics) = topics.map { |topic| revision(house, topic) }
    end
  end
end
