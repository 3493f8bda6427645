# frozen_string_literal: true

require_relative "../../core/buying/big_pack"
require_relative "../../core/buying/pack_cover"
require_relative "../../core/dating/breaking"
require_relative "../../core/dating/came_in"
require_relative "../../core/planning/weight"
require_relative "../../core/rotation/stack"
require_relative "../../core/value"
require_relative "../../store/rows"
require_relative "../redate"

module NutShelf
  module Desk
    # What is bought of one food for a need: which packs, what they cost, and the stacks they will be at home.
    class Purchase
      # `amount`: grams of all packs; `packs`: [[PricedPack, count]]; none where it is bought loose; `within_cap`:
      # whether all of it will be eaten while good, as far as anybody knows. Frozen.
      Bought =
        Core::Value.of(:amount, :stacks, :price_minor, packs: [].freeze, estimated: false, within_cap: true)

      # @param work [UnitOfWork]
      # @param food_id [Integer]
      # @param prices [Core::PackPrices]
      # @param belonging [Belonging] that knows where it goes
      # @param daily [Rational] grams a day that are used in all, 0 where nobody knows
      # @param strict [Boolean] whether somebody goes by the date
      def initialize(work, food_id, prices:, belonging:, daily: 0r, strict: false)
        @work = work
        @food_id = food_id
        @food = work.food(food_id)
        @prices = prices
        @belonging = belonging
        @strict = strict
        @packs = prices.packs
        @daily = daily
        @made = 0
      end

      # @param grams [Rational]
      # @param on [Date] day of the trip
      # @return [Bought]
      def call(grams, on)
        packs, cover = cover(@packs, grams)
        # Of what was only ever bought in sacks there are small packs too.
        packs, cover = cover([*@packs, *@prices.usual].uniq(&:size), grams) if cover && too_much?(cover, grams)
        cover ? in_packs(packs, cover, on) : loose(grams, on)
      end

      # @return [Rational] grams for which nobody goes shopping: a quarter of its smallest pack
      def trifle = (@packs.map(&:size).min || 0r) / 4

      # @param line [Store::Rows::ListLine] that is in the basket
      # @return [Array<Core::Stack>] what it will be at home
      def ticked(line)
        packs = line.packs.map do |pack|
          [Core::Quantity.new(pack["amount"].to_r, pack["dimension"].to_sym), pack["count"]]
        end
        packs << [Core::Quantity.new(line.amount, line.dimension.to_sym), 1] if packs.empty? && line.amount
        packs.filter_map do |quantity, count|
          size = @prices.grams(quantity)
          size && stack(size * count, @work.today, single(quantity, size))
        end
      end

      # @param on [Date]
      # @return [Bought] one pack, as it was bought last
      def one(on)
        at = @packs.each_index.max_by { |index| [@packs[index].on || Date.new(0), -index] }
        at ? in_packs(@packs, alone(at), on) : loose(LOOSE, on)
      end

      # @return [Integer, nil] days it is good from the shop for those at the meals, sealed and where it belongs; nil
      #   for longer than anybody plans
      def keeps = days_of(@strict ? strictly : sealed)

      # @return [Integer, nil] the same for whoever does not go by the date
      def keeps_besides = days_of(sealed)

      # @return [Rational, nil] grams of a pack that are eaten before it turns; nil where nobody knows how fast it goes
      def eaten_while_good
        return unless @daily.positive?

        days = [keeps_besides, opened_days].compact.min
        days ? @daily * days : @packs.sum(0r, &:size) * MANY
      end

      # Where it keeps for longer than anybody plans, no pack is too big.
      MANY = 1000
      private_constant :MANY

      # @return [Core::Place] where it goes
      def place
        @place ||=
          begin
            row = @belonging.row(@food_id)
            @belonging.place(row) || @work.places.values.find { |one| @belonging.kinds(row).include?(one.kind) } ||
              @work.places.values.first
          end
      end

      private

      def days_of(dating) = (last = dating.usable_until) && [(last - @work.today).to_i, 0].max

      # Grams of what comes in no pack at all.
      LOOSE = 250r
      TOO_MUCH = 2
      private_constant :TOO_MUCH, :LOOSE

      def cover(packs, grams)
        [packs,
         Core::PackCover.new(packs.map(&:plain)).call(grams, eaten_while_good: eaten_while_good || grams, room: room)]
      end

      # Of a packed place so much is packs, and the rest the room between them.
      PACKED = 1/2r
      private_constant :PACKED

      # @return [Rational, nil] grams its place still holds; nil where nobody measured it, or nobody knows the volume
      def room
        free = place&.free_ml
        free && @food.g_per_ml && (free * PACKED * @food.g_per_ml)
      end

      def too_much?(cover, grams) = !cover.within_cap && cover.amount > grams * TOO_MUCH

      # Days an opened pack of it is good; nil where that changes nothing, or it comes by the piece.
      def opened_days
        pack = (@packs.empty? ? @prices.usual : @packs).reject { |one| one.quantity.dimension == :count }.first
        pack && single(pack.quantity, pack.size)[:opened]&.days
      end

      def in_packs(packs, cover, on)
        list = packs.zip(cover.counts).reject { |_, count| count.zero? }
        Bought.new(
          amount: cover.amount, price_minor: cover.price_minor, packs: list.freeze, within_cap: cover.within_cap,
          estimated: list.any? { |pack, _| pack.estimate? },
          stacks: list.map { |pack, count| stack(pack.size * count, on, single(pack.quantity, pack.size)) }.freeze
        )
      end

      def loose(grams, on)
        minor, estimated = @prices.loose(grams)
        Bought.new(amount: grams, price_minor: minor, estimated: estimated, stacks: [stack(grams, on)].freeze)
      end

      def alone(at)
        Core::Cover.new(
          counts: @packs.each_index.map { |index| index == at ? 1 : 0 }, amount: @packs[at].size,
          price_minor: @packs[at].price_minor, within_cap: true
        )
      end

      # What comes by the piece is opened piece by piece: six eggs are not one egg box.
      def single(quantity, size)
        counted = quantity.dimension == :count
        size /= quantity.amount if counted
        how = Core::Breaking.kind(@food, dimension: quantity.dimension, pack: counted ? nil : quantity.amount)
        { pack: size, opened: @work.openings.of(@food, how, place, situation: situation, frozen: frozen?) }
      end

      def frozen? = place.kind == "freezer"

      # Numbers no stack has, and no dish's making.
      def number = -((@food_id * 1_000_000_000) + (@made += 1))

      def stack(grams, on, facts = {})
        shift = ->(date) { date && (on + (date - @work.today)) }
        Core::Stack.new(
          id: number, food_id: @food_id, food_key: @food.key, label: "", place_id: place.id, place: place.name,
          dimension: :mass, on_hand: grams, pack_amount: facts[:pack], amount: grams, grams_per_unit: 1r,
          minor_per_gram: 0r, ready_on: on, acquired_on: on, situation: situation,
          usable_until: shift.(sealed.usable_until), strict_until: shift.(strictly.usable_until),
          safety_until: shift.(sealed.safety_until), **facts
        )
      end

      def situation = Core::CameIn.new(food: @food).situation

      def sealed = @sealed ||= redate.judge(lot)

      def strictly = @strictly ||= redate.judge(lot, policy: @work.policy.strict)

      def redate = @redate ||= Redate.new(@work)

      def lot
        Store::Rows::Lot.new(
          food_id: @food_id, place_id: place.id, start_place_id: place.id, dimension: "mass", on_hand: 1r,
          situation: situation, acquired_on: @work.today, known_on: @work.today
        )
      end
    end
  end
end
