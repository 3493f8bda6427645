# frozen_string_literal: true

require_relative "cut"
require_relative "perishable"

module NutShelf
  module Core
    module Outage
      # What to keep and what to throw out after a power cut, with the rule for each (docs/kits.md 8). When in doubt,
      # throw it out.
      class Judging
        # Above this food is over in half the time.
        VERY_HOT = 32

        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param cut [Cut]
        def initialize(catalog, figures, cut)
          @catalog = catalog
          @figures = figures
          @cut = cut
          @perishable = Perishable.new(catalog)
          @fridge = cut.fridge_curve(figures)
          @freezer = cut.freezer_curve(figures)
          @danger = figures.usual("danger-zone-lower")
          @shut = figures.usual("fridge-hours-no-power")
          @allowed = cut.hours_allowed(figures)
          freeze
        end

        # @return [Rational, nil] hours the fridge was too warm, nil without a reading
        def fridge_above = @fridge&.above(@danger)

        # @return [Rational, nil] hours the freezer was above fridge temperature, nil without a reading
        def freezer_above = @freezer&.above(@danger)

        # @param item [Item]
        # @return [Verdict]
        def of(item)
          act, rule = item.place == "freezer" ? frozen(item) : chilled(item)
          Verdict.new(item: item, act: act, rule: rule)
        end

        private

        def chilled(item)
          warm = fridge_above || [@cut.hours - @shut, 0r].max
          if item.situation != "bought_sealed" && item.food.warm_hours && warm > item.food.warm_hours
            return %i[throw warm_hours]
          end
          return %i[keep not_perishable] unless perishable?(item)
          return [@cut.hours <= @shut ? :keep : :throw, :fridge_hours_no_power] unless @fridge
          return %i[keep stayed_cold] if warm.zero?

          [warm <= limit(@fridge) ? :eat_today : :throw, :two_hour_rule]
        end

        def frozen(item)
          state, warm = found(item)
          return %i[keep still_hard] if state == :hard
          return %i[throw never_refrozen] if never_refrozen?(item)
          return [item.food.freezes == "changed" ? :refreeze_poorer : :refreeze, :ice_or_cold] if state != :warm
          return %i[eat_soon not_perishable] unless perishable?(item)

          [warm && warm <= limit(@freezer) ? :cook_now : :throw, :two_hour_rule]
        end

        # @return [Array(Symbol, Rational)] how it was found, and hours it has been warm (nil: nobody knows)
        def found(item)
          return [item.finding, item.warm_hours] if item.finding

          @freezer ? by_curve : by_hours
        end

        def by_curve
          return [:hard, 0r] unless @freezer.ever_over?(@figures.usual("freezer-still-hard"))
          return [:icy, 0r] if @freezer.last <= @figures.usual("freezer-ice-left")

          cold = @freezer.last <= @figures.usual("fridge-temperature") && !@freezer.ever_over?(@danger)
          [cold ? :cold : :warm, freezer_above]
        end

        def by_hours
          return [:hard, 0r] if @cut.hours <= @allowed / 2
          return [:icy, 0r] if @cut.hours <= @allowed

          [:warm, @cut.hours - @allowed]
        end

        def never_refrozen?(item) = @catalog.keeping(item.food, item.situation, "freezer").row&.after_thaw_days == 0

        def perishable?(item) = @perishable.of?(item.food, item.situation, item.place)

        def limit(curve)
          hot = curve&.ever_over?(VERY_HOT)
          @figures.cell("two-hour-rule", hot ? :low : :usual)
        end
      end
    end
  end
end
