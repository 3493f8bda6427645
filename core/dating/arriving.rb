# frozen_string_literal: true

require_relative "rules_in_place"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge for how food came into the house: what its pack says, which rule begins, and what is unknown.
    module Arriving
      private

      # Frozen goods are bought frozen whatever they are called.
      def arrival_situation
        return "bought_frozen" if @story.situation == "bought_sealed" && @food.aisle == "Frozen"

        @story.situation
      end

      # Supplies have no keeping rules: only what is printed, and what somebody saw.
      def supplies(today)
        printed_cap
        @story.events.each { |event| stop(bad_words(event.on)) if event.kind == :looked && event.result == :bad }
        @journal.say("It is no food: only a date on the pack would count.") unless @story.printed_on
        answer(today)
      end

      def arrive
        printed_cap
        leftover_cap
        case @situation
        when "opened"
          @place.freezer? ? from_the_fridge { came_open } : came_open
        when "thawed"
          came_thawed
        when "bought_frozen"
          came_frozen
        when "frozen_at_home"
          began_in_freezer
        when "bagged"
          await_bag
        else
          @place.freezer? ? began_in_freezer : begin_keeping
        end
        watch_warmth(begun_on || @story.first_known_on)
      end

      def printed_cap
        day = @story.printed_on or return
        safety = @story.printed_kind == :use_by || @food.infant
        cap(safety ? :safety : :quality, @food.infant ? :infant : :printed, day)
        say("#{@story.printed_kind == :use_by ? "Use by" : "Best before"} #{Words.day(day)} is printed on the pack.")
        say("Infant food: whatever the date is called, it is a safety date.") if @food.infant
      end

      # The recipe's own limit counts wherever the leftovers stand.
      def leftover_cap
        limit = @story.leftover_days
        return unless limit && @story.started_on

        until_on = @story.started_on + limit
        cap(:safety, :recipe, until_on)
        say("This dish keeps #{Words.days(limit)} at most: until #{Words.day(until_on)}.")
      end

      # What happened to it before the day it was noted happened here: it was known by then.
      def begun_on = @story.started_on && [@story.started_on, *@story.events.map(&:on)].compact.min

      def begin_keeping
        @since = begun_on
        return ripening if @situation == "ripening"
        return check_place if printed_pack?
        return begin_unknown unless @since
        return untested if untested?

        run_rule(@situation, @since, :rule)
      end

      def untested? = @situation == "home_canned" && @food.high_risk && @rules.row(@situation, @place).nil?

      # What may grow in a jar without air shows itself by nothing: without a tested procedure there is no good day.
      def untested
        @unknown = true
        say(
          "There is no tested way to bottle it at home, and what may grow in it can neither be seen nor smelled: it " \
          "is not planned with."
        )
        check_place
      end

      # A printed date stands for the keeping rule of a sealed pack.
      def printed_pack? = !@story.printed_on.nil? && %w[bought_sealed bought_frozen].include?(@situation)

      # Without any day, food that germs like has an age nobody knows, and no later event makes it younger.
      def begin_unknown
        say("Neither a printed date nor the day it #{came_word} is known, so it has no date.") unless @story.printed_on
        age_unknown if @rules.perishable?(@situation, sealed: @sealed) && @story.printed_on.nil?
        check_place
      end

      def came_word = %w[left_over cooked home_canned home_dried].include?(@situation) ? "was made" : "came"

      def age_unknown
        @unknown = true
        say("It is food that germs like and nobody knows how old it is: it is not planned with.")
      end

      # It came in open and nobody noted when: the first day anybody knew of it counts as the day of opening.
      def came_open
        @sealed = false
        day = @story.first_known_on
        return open_since_ever unless day

        say(
          "It was open already; since nobody knows when it was opened, #{Words.day(day)} counts, the first day it " \
          "was known here."
        )
        begin_situation("opened", day, :opened)
      end

      def open_since_ever
        @look_first = true
        say("It was open already and nothing is known of when: look at it first.")
        check_place
      end

      def ripening
        unripe = @rules.row("ripening", @place)
        return begin_unknown unless @since && unripe

        @ready_on = @since + unripe.low
        say("Came unripe on #{Words.day(@since)}; ripe after about #{unripe.span_words}: from #{Words.day(@ready_on)}.")
        @rules.row("ripe", @place) ? run_rule("ripe", @ready_on, :rule) : ripe_here(unripe)
      end

      # Where ripe fruit has no figure of its own, the slow end of ripening is the last good day.
      def ripe_here(unripe)
        @clock = Clock.new(since: @since, days: unripe.high, kind: unripe.kind)
        say("#{@rules.reason("ripe", @place)} Counted until the slow end of ripening, #{Words.day(@clock.until_on)}.")
      end
    end
  end
end
