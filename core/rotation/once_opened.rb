# frozen_string_literal: true

require_relative "../dating/breaking"
require_relative "../dating/opening"
require_relative "../dating/policy"
require_relative "../dating/rules_in_place"
require_relative "../value"

module NutShelf
  module Core
    # What becomes of the rest of a pack once it is opened, or of a piece once it is cut: where it goes, for how many
    # days it is good from then, and whether that is a matter of safety. `days` and `strict_days` are nil where
    # nothing but its old dates counts. Never later than the dating rules would say of the same pack (see Judge): an
    # early answer costs a question, a late one a stomach. Frozen.
    OnceOpened =
      Value.of(:how, :place_id, :place, :days, :strict_days, :kind) do
        # @param stack [Stack] as it was sealed
        # @param on [Date] day of opening
        # @return [Hash] the facts of Stack that change
        def dates(stack, on)
          {
            usable_until: earlier(stack.usable_until, on, days),
            strict_until: earlier(stack.strict_until, on, strict_days),
            safety_until: kind == :safety ? earlier(stack.safety_until, on, days) : stack.safety_until,
            look_until: nil,
            place_id: place_id,
            place: place
          }
        end

        # @return [Date, nil] the earlier of a date and so many days from opening
        def earlier(date, on, days) = [date, *(days && (on + days))].compact.min
      end

    # Finds OnceOpened for stacks; asks each question of the guide once. One use per shelf.
    class Openings
      ALREADY = { opened: Opening::BROKEN, cut: Opening::CUT_ALREADY }.freeze
      WARM = %w[cupboard cool_dark].freeze

      # @param catalog [Catalog] keeping rules, the household's own among them
      # @param policy [Policy]
      # @param fridge [#id, #name, #kind, nil] where opened packs go that belong in the cold
      def initialize(catalog:, policy:, fridge: nil)
        @catalog = catalog
        @policy = policy
        @fridge = fridge
        @places = {}.compare_by_identity
        @lives = {}
        @rules = {}
      end

      # @param food [Food]
      # @param how [Symbol, nil] see Breaking
      # @param here [#id, #name, #kind] where the pack stands
      # @return [#id, #name, #kind] where it belongs from then on: most tins and jars in the fridge, if there is one
      def place(food, how, here)
        return here unless @fridge && WARM.include?(here.kind) && belongs_cold?(food, how)

        @fridge
      end

      # @param food [Food]
      # @param how [Symbol, nil]
      # @param here [#id, #name, #kind]
      # @param situation [String] see Story; whose seal is broken already begins nothing anew
      # @param frozen [Boolean] what is frozen stays as it is
      # @return [OnceOpened, nil] nil where nothing becomes of it
      def of(food, how, here, situation: "bought_sealed", frozen: false)
        return if how.nil? || frozen || ALREADY.fetch(how).include?(situation)

        there = place(food, how, here)
        life = @lives[[food.key, how, there.kind]] ||= life(food, how, there)
        (@places[life] ||= {})[there.id] ||= life.with(place_id: there.id, place: there.name)
      end

      private

      def belongs_cold?(food, how)
        case how
        when :cut
          @catalog.keeping(food, "cut", "fridge").row?
        when :opened
          food.opened_where == "fridge"
        else
          false
        end
      end

      def life(food, how, there)
        standing = Standing.new(name: there.name, kind: there.kind)
        row = rules(food).row(how.to_s, standing)
        return OnceOpened.new(how: how) if row && how == :opened && food.no_opened_limit
        return counted(how, row) if row

        elsewhere(food, how, standing)
      end

      def counted(how, row)
        OnceOpened.new(how: how, days: row.days(@policy.school), strict_days: row.days(:by_the_date), kind: row.kind)
      end

      # No figure for that place: germs have two hours, so that day only; other food the short figure of a colder place.
      def elsewhere(food, how, standing)
        if rules(food).two_hours?(how.to_s, standing, sealed: false)
          return OnceOpened.new(how: how, days: 0, strict_days: 0, kind: :safety)
        end

        colder = rules(food).colder_row(how.to_s, standing)
        if colder
          OnceOpened.new(how: how, days: colder.low, strict_days: colder.low, kind: colder.kind)
        else
          OnceOpened.new(how: how)
        end
      end

      def rules(food) = @rules[food.key] ||= RulesInPlace.new(@catalog, @policy, food)
    end
  end
end
