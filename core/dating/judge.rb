# frozen_string_literal: true

require_relative "../reference/catalog"
require_relative "answering"
require_relative "arriving"
require_relative "bagged"
require_relative "caps"
require_relative "chronicle"
require_relative "clock"
require_relative "cooking"
require_relative "darkness"
require_relative "dating"
require_relative "freezing"
require_relative "journal"
require_relative "looking"
require_relative "moving"
require_relative "opening"
require_relative "part"
require_relative "policy"
require_relative "rules_in_place"
require_relative "running"
require_relative "story"
require_relative "words"

module NutShelf
  module Core
    # Folds a stack's story into one running clock, safety caps and quality caps. A clock runs, is carried to another
    # place and stops on freezing; a cap stays until an event of Caps::LIFTED_BY lifts it. docs/dating.md has the
    # table. One use per story; see Judge.date.
    class Judge
      include Answering
      include Arriving
      include Bagged
      include Cooking
      include Darkness
      include Freezing
      include Looking
      include Moving
      include Opening
      include Running

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
        @situation = arrival_situation
        @sealed = RulesInPlace::SEALED.include?(@situation)
        @phase = :fresh
        @caps = Caps.new
        @looks = Looks.new(@food.past_date_tolerance_days, counted: !policy.by_the_date?)
        @journal = Journal.new
        @by_school = false
      end

      # @param today [Date]
      # @return [Dating] of the story this judge was made for
      def date(today)
        return supplies(today) if @food.food_group == "supplies"

        arrive
        Chronicle.of(@story).each do |event|
          take_in(event)
          watch_warmth(event.on)
        end
        answer(today)
      end

      private

      def take_in(event)
        return take_in_bag(event) if bag?

        case event.kind
        when :opened
          opened(event.on)
        when :cut
          cut(event.on)
        when :ripened
          ripened(event.on)
        when :stored
          stored(event.on, event.method)
        when :cooked
          cooked(event.on, event.parts)
        when :topped_up
          topped_up(event.on, event.parts)
        when :looked
          looked(event.on, event.result)
        when :dark
          dark(event.on, event.result)
        when :suspected
          suspected(event.on)
        when :moved
          moved(event.on, event.place)
        when :frozen
          moved(event.on, event.place || @rules.freezer)
        when :thawed
          thawed_out(event.on, event.place)
        end
      end

      # Days by the household's school; where another school would count others, the answer says so.
      def days(row)
        @by_school ||= row.kind != :safety && row.low != row.high
        @rules.days(row)
      end

      def say(sentence) = @journal.say(sentence)

      def stop(sentence) = @journal.stop(sentence)

      def cap(kind, cause, until_on)
        @caps = @caps.add(kind, cause, until_on)
      end

      def safety_until = [@caps.safety_until, *(@clock.until_on if @clock&.kind == :safety)].compact.min
    end
  end
end
