# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # The list, the shops, and what is wanted in the house.
    class Shopping < Table
      # SELECT * FROM wants WHERE household_id = 7 AND archived_at IS NULL
      # @return [Hash{Integer=>Rows::Want}] by food
      def wants = rows(:wants).where(archived_at: nil).to_h { |want| [want.food_id, want] }

      # SELECT food_id FROM wants WHERE household_id = 7 AND archived_at IS NULL AND freeze
      # @return [Set<Integer>] foods that go into the freezer as they come home
      def frozen_at_once = rows(:wants).where(archived_at: nil, freeze: true).select_map(:food_id).to_set

      # @return [Rows::Want, nil] of one food
      def want(food_id) = rows(:wants).where(archived_at: nil, food_id: food_id).first

      # SELECT * FROM shops WHERE household_id = 7 AND archived_at IS NULL ORDER BY name, id
      # @return [Array<Rows::Shop>]
      def shops = rows(:shops).where(archived_at: nil).order(:name, :id).all

      # SELECT * FROM shops WHERE household_id = 7 ORDER BY id
      # @return [Array<Rows::Shop>] those nobody goes to any more among them
      def every_shop = rows(:shops).order(:id).all

      # @return [Rows::Shop]
      # @raise [Missing]
      def shop(id) = found(rows(:shops).where(id: id).first, "shop")

      # @return [Rows::Shopping, nil] what somebody is out for now
      def open = rows(:shoppings).where(status: "open", archived_at: nil).order(:id).first

      # @param ids [Array<Integer>]
      # @return [Array<Rows::Shopping>] by id
      def shoppings(ids) = rows(:shoppings).where(id: ids).order(:id).all

      # @return [Rows::Shopping]
      # @raise [Missing]
      def shopping(id) = found(rows(:shoppings).where(id: id, archived_at: nil).first, "shopping")

      # @return [Integer, nil] the shop somebody went to last
      def last_shop_id
        rows(:shoppings).where(archived_at: nil).exclude(shop_id: nil).reverse(:on_date, :id).get(:shop_id)
      end

      # Locked, so that two who mark one line come one after the other.
      # @param ref [String]
      # @return [Rows::ListLine]
      # @raise [Missing]
      def line(ref) = found(rows(:list_lines).where(ref: ref, archived_at: nil).for_update.first, "line")

      # @param ref [String]
      # @return [Rows::ListLine, nil] what is called so, locked
      def known(ref) = rows(:list_lines).where(ref: ref).for_update.first

      # @param facts [Hash] columns
      # @return [Integer] id
      def add_line(facts) = insert(:list_lines, { **facts, **jsonb(facts) })

      # @param id [Integer]
      # @param changes [Hash] columns
      def change_line(id, changes)
        rows(:list_lines).where(id: id).update({ **changes, **jsonb(changes), version: Sequel[:version] + 1 })
      end

      # @return [Integer] id
      def begin(facts) = insert(:shoppings, facts)

      # Ends a shopping: what was ticked is to be put away, a person's own lines wait again, the rest stays in the shop.
      def end(id)
        rows(:shoppings).where(id: id).update(status: "closed", version: Sequel[:version] + 1)
        rest = rows(:list_lines).where(shopping_id: id, status: "open")
        rest.exclude(source: "list").update(shopping_id: nil, version: Sequel[:version] + 1)
        rest.where(source: "list").update(status: "left", version: Sequel[:version] + 1)
      end

      # @param ids [Array<Integer>] of lines that wait
      def take_along(shopping_id, ids) = rows(:list_lines).where(id: ids).update(shopping_id: shopping_id)

      # Those that wait for a trip.
      # SELECT * FROM list_lines WHERE household_id = 7 AND shopping_id IS NULL AND status = 'open' AND ...
      def waiting = lines.where(shopping_id: nil, status: "open").all

      # @param shopping_id [Integer]
      def of(shopping_id) = lines.where(shopping_id: shopping_id).all

      # What was ticked and stands nowhere yet.
      def bought = lines.where(status: "ticked").all

      private

      def lines = rows(:list_lines).where(archived_at: nil).order(:id)

      def jsonb(facts) = facts.slice(:packs, :reasons, :ticks).transform_values { |value| json(value) }
    end
  end
end
