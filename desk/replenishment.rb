# frozen_string_literal: true

require_relative "../core/quantity/hand_words"
require_relative "../core/rotation/bring_forward"
require_relative "../core/value"
require_relative "redate"
require_relative "usage_rates"

module NutShelf
  module Desk
    # What to bring from backstock to the working shelf, food by food, oldest first.
    class Replenishment
      # One food: its working amount in grams and where that comes from (`own` when the household said so, `steps`),
      # what stands at hand, what to bring and where to. Frozen.
      Item = Core::Value.of(:food_id, :food, :amount_g, :pack_g, :own, :list, :steps, :to_place)

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @shelf = work.shelf
        @usage = UsageRates.new(work)
      end

      # @return [Array<Item>] foods that need something brought, the emptiest first
      def items
        @items ||=
          begin
            found =
              @shelf.keys.filter_map do |key|
                item(key, @shelf.of(key).reject { |stack| stack.set_apart? || stack.quarantined || stack.in_freezer })
              end
            found
              .reject { |item| item.list.picks.empty? }
              .sort_by { |item| [-(item.list.need / item.amount_g), item.food.name] }
          end
      end

      # The last good day a stack would have once it is brought where its item says.
      # @param item [Item]
      # @param pick [Core::Pick]
      # @return [Date, nil]
      def then_until(item, pick) = item.to_place ? there[[pick.stack.id, item.to_place.id]] : pick.stack.usable_until

      private

      def item(key, stacks)
        working, back = stacks.partition(&:working)
        food = @shelf.foods.fetch(key)
        # What lives in the cold or keeps best in the cellar stays there until it is cooked.
        return if back.empty? || !food.shelf_stable?

        amount, own, steps = wanted(food, stacks.first, back)
        return unless amount.positive?

        list = Core::BringForward.new(working: working, backstock: back, amount: amount, on: @work.today)
        Item.new(
          food_id: @shelf.food_ids.fetch(key),
          food: food,
          amount_g: amount,
          pack_g: back.filter_map(&:pack).min,
          own: own,
          list: list,
          steps: steps,
          to_place: to_place(working)
        )
      end

      # The household's own figure, else what is eaten between two walks to where the backstock stands.
      def wanted(food, first, back)
        own = working_amounts[@shelf.food_ids.fetch(food.key)]
        return own.to_r, true, ["The household's own working amount."] if own

        rate = @usage.of(first)
        facts = { daily: rate.daily * first.grams_per_unit, reach: reach(back) }
        words = ->(grams) { Core::HandWords.of(grams, food, measures: @work.measures) }
        [
          Core::BringForward.working_amount(**facts),
          false,
          [*rate.steps, *Core::BringForward.reasons(**facts, words: words)]
        ]
      end

      def working_amounts = @working_amounts ||= @work.house.foods.working_amounts

      def reach(back)
        back
          .map { |stack| @work.place(stack.place_id).reach }
          .min_by { |word| Core::BringForward::REACH_DAYS.fetch(word) }
      end

      # Where it goes: where some of it stands already, else the first working place that suits a sealed pack.
      def to_place(working)
        there = working.find { |stack| !stack.open }
        return @work.place(there.place_id) if there

        places = @work.places.values.select(&:working?)
        places.find { |place| %w[cupboard cool_dark].include?(place.kind) } || places.first
      end

      # All of them judged at once, from one query.
      def there
        @there ||=
          begin
            wanted =
              items
                .select(&:to_place)
                .flat_map { |item| item.list.picks.map { |pick| [pick.stack.id, item.to_place.id] } }
            lots = @work.house.lots.every(wanted.map(&:first)).to_h { |lot| [lot.id, lot] }
            redate = Redate.new(@work)
            wanted.to_h { |id, place_id| [[id, place_id], moved(redate, lots.fetch(id), place_id)] }
          end
      end

      def moved(redate, lot, place_id)
        event = { "kind" => "moved", "on" => @work.today.iso8601, "place_id" => place_id }
        redate.judge(lot.with(history: [*lot.history, event], place_id: place_id)).usable_until
      end
    end
  end
end
