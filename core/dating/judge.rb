# frozen_string_literal: true

require_relative "../reference/catalog"
require_relative "answering"
require_relative "clock"
require_relative "dating"
require_relative "freezing"
require_relative "journal"
require_relative "look_cover"
require_relative "policy"
require_relative "preparing"
require_relative "rules_in_place"
require_relative "state"
require_relative "story"
require_relative "words"

module NutShelf
  module Core
    # Walks a stack's story day by day and keeps the dates in force: the sealed answer, what opening,
    # freezing, thawing and moving made of it, and the reasons. One use per story; see Judge.date.
    class Judge
      include Answering
      include Freezing
      include Journal
      include Preparing

      # The real date of a stack.
      # @param story [Story]
      # @param catalog [Catalog] keeping rules, the household's own among them
      # @param policy [Policy]
      # @param today [Date]
      # @return [Dating]
      def self.date(story, catalog:, policy:, today:) = new(story, catalog, policy).date(today)

      def initialize(story, catalog, policy)
        @story = story
        @food = story.food
        @policy = policy
        @place = story.place
        @rules = RulesInPlace.new(catalog, policy, @food, story.method)
        @phase = story.situation == "bought_frozen" ? :frozen : :fresh
        @sealed = %w[bought_sealed bought_frozen home_canned].include?(story.situation)
        @basis = :none
      end

      def date(today)
        start
        @story.events.each { |event| take_in(event) }
        answer(today)
      end

      private

      def take_in(event)
        case event.kind
        when :opened then opened(event.on)
        when :frozen then freeze_on(event.on)
        when :thawed then thaw(event.on)
        when :moved then move(event.on, event.place)
        when :looked then look(event)
        else prepare(event)
        end
      end

      # --- coming into the house

      def start
        return opened_unknown if @story.situation == "opened"
        return printed if @story.printed_on
        return ripening if @story.situation == "ripening"
        return undated_start unless @story.started_on

        run_rule(@story.situation, @story.started_on, :rule)
        shorten_leftover
      end

      def printed
        safety = @story.printed_kind == :use_by || @food.infant
        set(safety ? :safety : :quality, @story.printed_on)
        @basis = :printed
        say("#{safety ? 'Use by' : 'Best before'} #{Words.day(@story.printed_on)} is printed on the pack.")
        say("Infant food: whatever the date is called, it is a safety date.") if @food.infant
        check_place(@story.acquired_on)
      end

      # It came in open and nobody knows since when: its printed best-before says nothing any more.
      def opened_unknown
        return printed if @story.printed_on && (@food.no_opened_limit || @story.printed_kind == :use_by)

        say("It was open already and the day of opening is not known, so it has no date.")
        check_place(nil)
      end

      def undated_start
        say("Neither a printed date nor the day it came is known, so it has no date.")
        check_place(nil)
      end

      def ripening
        unripe = @rules.row("ripening", @place)
        return undated_start unless @story.started_on && unripe

        @ready_on = @story.started_on + unripe.low
        say("Came unripe on #{Words.day(@story.started_on)}; ripe after about #{unripe.span}: from #{Words.day(@ready_on)}.")
        @rules.row("ripe", @place) ? run_rule("ripe", @ready_on, :rule) : ripe_here(unripe)
      end

      # Where ripe fruit has no figure of its own, the slow end of ripening is the last good day.
      def ripe_here(unripe)
        @basis = :rule
        set(unripe.kind, @story.started_on + unripe.high)
        say("#{@rules.reason('ripe', @place)} Counted until the slow end of ripening, #{Words.day(@story.started_on + unripe.high)}.")
      end

      def shorten_leftover
        limit = @story.leftover_days
        return unless limit && @story.made_on && @place.kind == "fridge"

        cap = @story.made_on + limit
        return if @safety && @safety <= cap

        set(:safety, cap)
        say("This dish is kept #{Words.days(limit)} at most: #{Words.day(cap)}.")
      end

      # --- what happened later

      def opened(on)
        sealed = [@quality, @safety, @clock]
        @sealed = false
        @situation = "opened"
        return say("Opened #{Words.day(on)}; opening does not shorten its life.") if @food.no_opened_limit && @rules.row("opened", @place)
        return if @phase == :frozen

        @clock = nil
        run_rule("opened", on, :opened, sealed)
      end

      def move(on, place)
        from = @place
        @place = place
        return if from.kind == place.kind && !place.freezer?
        return freeze_on(on) if place.freezer? && @phase != :frozen
        return thaw(on) if from.freezer? && !place.freezer? && @phase == :frozen
        return if place.freezer?

        carry(on)
      end

      def carry(on)
        row = @rules.row(running_situation, @place)
        return check_place(on) unless row
        return say("Moved #{Words.where(@place.kind)} on #{Words.day(on)}; the printed date does not move.") unless @clock

        used = @clock.used_by(on)
        @clock = @clock.carried(on, @rules.days(row), row.kind)
        reset_rule_date
        say("Moved #{Words.where(@place.kind)} on #{Words.day(on)} with #{share(used)} of its life used; " \
            "of #{Words.days(@rules.days(row))} there, #{Words.days((@clock.until_on - on).to_i)} are left: #{Words.day(@clock.until_on)}.")
      end

      def share(used) = "#{(used * 100).round} %"

      def reset_rule_date
        @quality = nil if @clock.kind == :safety && @basis != :opened
        set(@clock.kind, [@clock.until_on, *(@clock.kind == :quality ? @cap_quality : @cap_safety)].min)
      end

      def look(event)
        day = Words.day(event.on)
        return stop("Looked at on #{day} and found bad: not to eat.") if event.result == :bad
        return turning(event.on) if event.result == :turning

        @turning_on = nil
        @looked_on = event.on
        say("Looked at on #{day} and found good.")
      end

      # --- rules

      def running_situation = @situation || @story.situation

      def run_rule(situation, on, basis, sealed = nil)
        row = @rules.row(situation, @place)
        return no_row(situation, on, sealed) unless row

        start_clock(row, on, basis, "#{Words.situation(situation).capitalize} since #{Words.day(on)}", sealed)
      end

      def start_clock(row, on, basis, opening, sealed = nil)
        days = @rules.days(row)
        clock = Clock.new(since: on, days: days, kind: row.kind)
        say("#{opening}, #{Words.where(row.place)}: #{row.span} (#{row.kind}); " \
            "counted #{Words.days(days)}#{school_note(row)}, until #{Words.day(clock.until_on)}.")
        say("Kept #{row.storage_words}: that is part of the figure.") if row.storage
        say("Your own time: #{row.own_reason}") if row.own_reason
        @clock = clock
        @basis = basis
        sealed ? earlier_of(sealed, row.kind, clock) : set(row.kind, clock.until_on)
      end

      def school_note(row) = row.kind == :safety ? ", the shorter, for safety" : " by \"#{@policy.school_words}\""

      # Opening never lengthens a life: the sealed answer stays as a cap.
      def earlier_of(sealed, kind, clock)
        quality, safety, = sealed
        @cap_quality = quality
        @cap_safety = safety
        set(kind, [clock.until_on, *(kind == :quality ? quality : safety)].min)
        cap = [quality, safety].compact.min
        return unless cap && cap < clock.until_on

        say("Its date from before opening comes first: #{Words.day(cap)}.")
        @basis = :printed if @story.printed_on
      end

      def no_row(situation, on, sealed = nil)
        reason = @rules.reason(situation, @place)
        colder = @rules.colder_row(situation, @place)
        return two_hours(on, reason) if @rules.two_hours?(situation, @place, sealed: @sealed)
        return flag(:wrong_place, reason) unless colder && sealed

        flag(:wrong_place, "#{reason} Counted as #{Words.where(colder.place)}, by the short figure.")
        clock = Clock.new(since: on, days: colder.low, kind: colder.kind)
        @clock = clock
        @basis = :opened
        say("Opened #{Words.day(on)}: #{Words.days(colder.low)}, until #{Words.day(clock.until_on)}.")
        earlier_of(sealed, colder.kind, clock)
      end

      def check_place(on)
        situation = running_situation
        will_freeze if @place.low_c&.negative? && !@place.freezer?
        return if @phase == :frozen || @food.food_group == "supplies" || @rules.row(situation, @place)

        reason = @rules.reason(situation, @place)
        return two_hours(on, reason) if @rules.two_hours?(situation, @place, sealed: @sealed)

        flag(:wrong_place, reason)
      end

      def two_hours(on, reason)
        flag(:two_hours, "#{reason} Out of the cold it is safe for two hours, one above 32 C. When in doubt, throw it out.")
        return unless on

        set(:safety, [on, *@safety].min)
        say("Out of the cold since #{Words.day(on)}: good for two hours of that day only.")
      end

      def will_freeze
        return unless @food.freezing_damage

        flag(:will_freeze, "It can fall to #{@place.low_c} C in #{@place.name}: it will freeze there and be damaged.")
      end

      def set(kind, date) = kind == :safety ? @safety = date : @quality = date
    end
  end
end
