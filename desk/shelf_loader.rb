# frozen_string_literal: true

require_relative "../core/rotation/once_opened"
require_relative "../core/rotation/shelf"
require_relative "../core/value"
require_relative "../store/stack_rows"

module NutShelf
  module Desk
    # The household's stock as one Core::Shelf, from one query, or from what changed since it was drawn last; or some
    # rows of it as stacks.
    class ShelfLoader
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # From so many changed stacks on, all are read anew.
      MANY = 200

      # A shelf and which version of each stack's row stands on it. Frozen.
      Drawn = Core::Value.of(:shelf, :versions)

      # @param before [Drawn, nil] what was drawn earlier on the same day by the same rules
      # @return [Drawn]
      def drawn(before = nil)
        versions = with_held(@work.house.lots.versions)
        changed = before && versions.reject { |id, version| before.versions[id] == version }.keys
        return Drawn.new(shelf: whole, versions: versions.freeze) if changed.nil? || changed.size > MANY

        gone = before.versions.keys - versions.keys
        shelf = before.shelf.after(of(@work.house.lots.narrow_of(changed)), gone)
        Drawn.new(shelf: shelf, versions: versions.freeze)
      end

      # @param narrow [Sequel::Dataset] of Store::Lots#narrow
      # @return [Array<Core::Stack>]
      def of(narrow)
        rows = narrow.all
        @work.know_foods(Store::StackRows.food_ids(rows))
        maker =
          Store::StackRows.new(
            foods: @work.method(:food), places: @work.method(:place), openings: @work.openings, reserved: @work.held
          )
        rows.map { |row| maker.stack(row) }
      end

      # @return [Core::Shelf] from one query
      def whole
        foods = @work.every_food
        Core::Shelf.new(
          of(@work.house.lots.narrow),
          foods: foods.to_h { |_, food| [food.key, food] }.freeze,
          food_ids: foods.to_h { |id, food| [food.key, id] }.freeze,
          today: @work.today
        )
      end

      # @return [Core::Openings] what becomes of a pack once it is opened, in this house
      def openings
        fridge = @work.places.values.find { |place| place.kind == "fridge" }
        Core::Openings.new(catalog: @work.catalog, policy: @work.policy, fridge: fridge)
      end

      private

      # What is set apart of a stack stands in a table of its own.
      def with_held(versions)
        held = @work.held.slice(*versions.keys)
        versions.merge(held) { |_, version, amount| [version, amount] }
      end
    end
  end
end
