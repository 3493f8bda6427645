# frozen_string_literal: true

require_relative "../core/buying/big_pack"
require_relative "../core/buying/pack_cover"
require_relative "../core/buying/shelf_offer"
require_relative "../core/planning/weight"
require_relative "../core/quantity/conversion"
require_relative "../core/value"
require_relative "pack_rests"
require_relative "plan"
require_relative "refusal"
require_relative "shopping/offers"
require_relative "shopping_days"
require_relative "usage_rates"

module NutShelf
  module Desk
    # Whether a big pack is worth it here: how fast the food goes in this house, how long it is good once open, what the
    # freezer does for it, and what of each pack would be eaten.
    class PackCheck
      # `use`: grams a week, `said`: by whoever asks; `good_days`: once open, nil where it keeps; `freezer_days`: nil
      # where it is not frozen here, as `dried_days`; `packs`: each in grams with what is eaten of it as it is, with the
      # rest frozen, with the rest dried;
      # `choice` and `frozen_choice`: which costs least for what is eaten; `break_even`: grams a week from which on the
      # largest costs no more than the smallest, nil where it never does. Frozen.
      Answer =
        Core::Value.of(
          :food, :use, :said, :good_days, :freezer_days, :dried_days, :packs, :choice, :frozen_choice, :break_even,
          forms: [].freeze
        )

      # Another form of the food, or what stands in for it in dishes: grams for a hundred, and minor units for as much
      # as a kilo of the food, by what was paid here. Frozen.
      Form = Core::Value.of(:food, :per_hundred, :kilo_minor)

      # A pack asked about. Frozen.
      Asked = Core::Value.of(:pack, :fresh, :frozen, :dried)

      # Days that stand for "it keeps": longer than anybody leaves a pack open.
      KEEPS = 3650

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @plan = Plan.new(work)
      end

      # @param food_id [Integer]
      # @param packs [Array<Hash>] amount:, unit: and price_minor: of each, offer: of Core::ShelfOffer::KINDS or nil
      # @param use [Rational, nil] grams a week, where whoever asks knows better
      # @return [Answer]
      # @raise [Invalid] for an unknown food, or a size nobody can weigh
      def call(food_id, packs, use: nil)
        @food_id = food_id
        @food = @work.food(food_id)
        list = packs.each_with_index.map { |one, at| pack(one, at) }
        said = !use.nil?
        use ||= used
        plain = Core::BigPack.new(use, good_days || KEEPS, sealed_days: sealed_days)
        cold = freezer_days && kept_otherwise(use, freezer_days)
        dry = dried_days && kept_otherwise(use, dried_days)
        Answer.new(
          dried_days: dried_days, food: @food, use: use, said: said, good_days: good_days, freezer_days: freezer_days,
          packs: list.map do |one|
            Asked.new(pack: one, fresh: plain.of(one), frozen: cold&.of(one), dried: dry&.of(one))
          end.freeze,
          choice: plain.choice(list), frozen_choice: cold&.choice(list), break_even: break_even(list),
          forms: forms
        )
      end

      private

      # Whole or ground, dried or tinned: what dishes of this house take for it, where somebody bought it once.
      def forms
        lines = @work.house.recipes.values.values.flat_map(&:lines).select { |line| line.food_key == @food.key }
        factors = lines.flat_map { |line| line.substitutes.to_a }.group_by(&:first)
          .transform_values { |list| list.map(&:last).max }
        offers = Offers.new(@work)
        factors.filter_map { |key, factor| form(offers, key, factor) }.sort_by { |one| [one.kilo_minor, one.food] }
      end

      # The dearer of what several dishes say, so that none looks cheaper than it is.
      def form(offers, key, factor)
        id = @work.shelf.food_ids[key] or return
        paid = offers.of(id).per_gram or return
        Form.new(food: @work.food(id).name, per_hundred: (factor * 100).round, kilo_minor: (paid * factor * 1000).round)
      end

      def pack(one, at)
        size = Core::Conversion.to(Core::Quantity.of(one[:amount].to_r, one[:unit]), :mass, @food).amount
        raise Refusal.of(:pack_size, at: "/packs/#{at}/amount", food: @food.name) unless size.positive?

        Core::ShelfOffer.of(Core::BuyablePack.new(size: size, price_minor: one[:price_minor]), one[:offer])
      rescue Core::MissingFigure
        raise Refusal.of(:pack_size, at: "/packs/#{at}/amount", food: @food.name)
      end

      # Cooked and eaten besides, as the ledger knows it, or as the household says.
      def used = UsageRates.new(@work, food_ids: [@food_id]).habits.daily(@food.key).to_r * 7

      def good_days = @good_days ||= PackRests.new(@work, strict: @work.policy.by_the_date?).days(@food.key)

      def sealed_days
        @sealed_days ||= ShoppingDays.new(@work, from: @work.today, to: @work.today).keeps(@food.key)
      end

      # What is left is kept in another way for so many days.
      def kept_otherwise(use, days)
        Core::BigPack.new(
          use, good_days || KEEPS, freezer: Core::BigPack::Freezer.new(days: days), sealed_days: sealed_days
        )
      end

      def freezer_days
        return unless @work.freezer && @food.freezes == "yes"

        @freezer_days ||= @work.catalog.keeping(@food, "frozen_at_home", "freezer").row&.low
      end

      # Where the guide knows how long it keeps dried, and drying is no matter of safety.
      def dried_days
        row = @work.catalog.keeping(@food, "home_dried", "cool_dark").row
        row.low if row&.kind == :quality
      end

      # The use at which what is eaten of the largest costs as little as the smallest, all of which is eaten by then.
      def break_even(list)
        small, big = list.minmax_by(&:size)
        return if good_days.nil? || small.size == big.size || small.price_minor.zero?

        eaten = big.price_minor * small.size / small.price_minor
        eaten <= big.size ? eaten * 7 / good_days : nil
      end
    end
  end
end
