# frozen_string_literal: true

require_relative "../quantity/money"
require_relative "../value"
require_relative "part_date"

module NutShelf
  module Core
    module Bags
      # What is taken from one stack for bags: grams and their value. Frozen.
      Pick = Value.of(:stack, :grams, :value_minor)

      # A bag that can be made: its cost, until when it is good, and what of each stack is in it. Frozen.
      Bag = Value.of(:cost_minor, :until, takes: {}.freeze)

      # How many bags can be made, and of what: `can` by the foods alone, `limits` the foods that end first, `missing`
      # by food for all that were asked for, the takes, and each bag. Frozen.
      Made = Value.of(:can, :makes, :limits, :missing, :picks, :bags)

      # "Make twenty": how many bags of several foods can be made, and what limits (docs/trips.md 2).
      class Making
        # @param part_date [PartDate]
        # @param parts [Array<Part>] of one bag
        # @param stacks [Hash{Food=>Array<BagStack>}] what nothing else is kept for
        def initialize(part_date, parts, stacks)
          @part_date = part_date
          @need = parts.group_by(&:food).transform_values { |list| list.sum(0r, &:drawn_g) }
          @stacks = stacks
        end

        # @param want [Integer] bags
        # @param on [Date] of packing
        # @param good_until [Date, nil] a day their dates must reach
        # @param bags [Integer, nil] empty bags on hand
        # @param mixed [Boolean] whether all is mixed in one bowl first
        # @return [Made]
        # @raise [Unpackable]
        def call(want, on:, good_until: nil, bags: nil, mixed: false)
          usable = @need.keys.to_h { |food| [food, dated(food, on, good_until)] }
          have = usable.transform_values { |list| list.sum(0r) { |stack, _| stack.grams } }
          counts = @need.to_h { |food, grams| [food, (have.fetch(food) / grams).floor] }
          can = counts.values.min
          makes = [want, can, *bags].min
          takes = @need.to_h { |food, grams| [food, taken(usable.fetch(food), grams * makes)] }
          Made.new(
            can: can, makes: makes, limits: can < want ? counts.select { |_, number| number == can }.keys : [],
            missing: missing(want, have), picks: takes.values.flatten(1).map(&:first).freeze,
            bags: filled(takes, makes, mixed)
          )
        end

        private

        # What ends first goes in first.
        def dated(food, on, good_until)
          reach = [on, good_until].compact.max
          @stacks.fetch(food, []).map { |stack| [stack, @part_date.of(stack, on)] }
            .select { |_, date| date.nil? || date.on >= reach }
            .sort_by { |stack, date| [date&.on&.jd || Float::INFINITY, stack.id.to_s] }
        end

        def missing(want, have)
          @need.to_h { |food, grams| [food, (grams * want) - have.fetch(food)] }.select { |_, grams| grams.positive? }
        end

        # @return [Array<Array(Pick, Until)>]
        def taken(list, grams)
          list.filter_map do |stack, date|
            part = [grams, stack.grams].min
            grams -= part
            next unless part.positive?

            [Pick.new(stack: stack, grams: part, value_minor: Money.share(stack.value_minor, part, stack.grams)), date]
          end
        end

        def filled(takes, makes, mixed)
          return [].freeze unless makes.positive?

          costs = Money.split(takes.values.flatten(1).sum { |pick, _| pick.value_minor }, makes).sort
          costs.each_with_index.map do |cost, at|
            slices = takes.flat_map { |food, list| slices(list, @need.fetch(food), at, mixed && makes) }
            Bag.new(
              cost_minor: cost, until: first_end(slices.map(&:last)),
              takes: slices.to_h { |stack, grams, _| [stack, grams] }.freeze
            )
          end.freeze
        end

        # The earliest of what that bag touches.
        def first_end(dates) = dates.compact.min_by { |one| [one.on, one.kind == :safety ? 0 : 1] }

        # Bag by bag its slice of what was taken; mixed in one bowl, of each stack its share.
        # @return [Array<Array(BagStack, Rational, Until)>]
        def slices(list, need, at, mixed)
          return list.map { |pick, date| [pick.stack, pick.grams / mixed, date] } if mixed

          before = 0r
          list.filter_map do |pick, date|
            start = [before, need * at].max
            before += pick.grams
            grams = [before, need * (at + 1)].min - start
            [pick.stack, grams, date] if grams.positive?
          end
        end
      end
    end
  end
end
