# frozen_string_literal: true

require_relative "../../core/kits/figures"
require_relative "../../core/portioning/freezer_jars"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # Portions that go into jars or tubs of one kind: how much one of them takes, with room to swell for the freezer
      # by its shape, and that so many of them are empty.
      class Jars
        # Of what was cooked a millilitre weighs about that, where nobody knows better.
        WATER = 1r
        COOKED = %w[left_over cooked].freeze

        # @param work [UnitOfWork]
        # @param id [Integer, nil] of the jar or tub
        # @param lot [Store::Rows::Lot] what goes into it
        # @param freezing [Boolean]
        # @return [Jars, nil] nil for no jar
        def self.of(work, id, lot, freezing:)
          return unless id

          food = work.food(lot.food_id)
          density = food.g_per_ml || (COOKED.include?(lot.situation) ? WATER : nil)
          new(work, id, name: food.name, g_per_ml: density, dimension: lot.dimension.to_sym, freezing: freezing)
        end

        # @param work [UnitOfWork]
        # @param id [Integer] of the jar or tub
        # @param name [String] of what goes into it
        # @param g_per_ml [Rational, nil]
        # @param dimension [Symbol] :mass or :volume, as it is told
        # @param freezing [Boolean]
        def initialize(work, id, name:, freezing:, g_per_ml: WATER, dimension: :mass)
          @work = work
          @jar = work.house.containers.find(id)
          @name = name
          @per_ml = dimension == :volume ? 1r : g_per_ml
          @dimension = dimension
          @freezing = freezing
        end

        # @param jars [Jars, nil]
        # @param bench [Core::Portioning::Bench]
        # @param additions [Array<Core::Portioning::Addition>]
        # @param input [Hash] :count or :size_g, where somebody said so
        # @return [Integer, nil] portions asked for: as many as jars it takes where nobody said how many, or how large
        def self.count(jars, bench, additions, input)
          return input[:count] if jars.nil? || input[:count] || input[:size_g]

          jars.count(bench.pool, additions.sum(0r, &:each))
        end

        # @return [Integer]
        def id = @jar.id

        # @return [Rational, nil] that one of them takes, in grams or millilitres; nil where nobody knows how much a
        #   millilitre weighs
        def fill = @per_ml && (fill_ml * @per_ml)

        # @param pool [Rational] what is shared out
        # @param added [Rational] what each gets besides
        # @return [Integer] of them that it takes, all filled alike
        # @raise [Conflict] where nobody knows how much a millilitre weighs, or what is added fills it
        def count(pool, added)
          room = (fill or raise Refusal.of(:jar_by_what, at: "/container_id", food: @name)) - added
          raise Refusal.of(:jar_too_small, at: "/container_id", jar: @jar.name, holds: size(fill)) unless room.positive?

          (pool / room).ceil
        end

        # @param count [Integer] portions
        # @param each [Rational] one of them, in grams or millilitres
        # @raise [Conflict] where it is more than goes in, or fewer of them are empty
        def check(count, each)
          if fill && each > fill
            raise Refusal.of(:jar_too_small, at: "/container_id", jar: @jar.name, holds: size(fill))
          end
          return if count <= empty

          raise Refusal.of(:jars_too_few, at: "/container_id", jar: @jar.name, empty: empty)
        end

        # @return [Hash] what one of them takes, how many are empty
        def told = { name: @jar.name, takes: fill && size(fill), empty: empty, loose: @freezing }

        private

        def empty = @empty ||= [@jar.owned - @work.house.containers.in_use(@jar.id), 0].max

        def fill_ml
          return @jar.capacity_ml unless @freezing

          figures = Core::Kits::Figures.new(targets: @work.catalog.targets)
          jars = Core::Portioning::FreezerJars.new(figures)
          @jar.capacity_ml * (1 - jars.headspace(shape: @jar.shape, capacity_ml: @jar.capacity_ml))
        end

        def size(amount) = @work.size(Core::Quantity.new(amount, @dimension))
      end
    end
  end
end
