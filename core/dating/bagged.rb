# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # The part of Judge for a bag of several foods (docs/trips.md 2). What went in was judged on the day it was packed,
    # for every kind of place: from then on the bag has the earliest of its parts' days where it stands, and no move,
    # no freezing and no cooking makes that later. Whoever carries it into the warm has the days it would have had there
    # from the first; out of the freezer those count from the day it thaws, within the dates its parts came with.
    module Bagged
      private

      def bag? = @situation == "bagged"

      # Until somebody says what is in it, nobody knows how old that is.
      def await_bag
        @unknown = true
        @since = begun_on
      end

      def take_in_bag(event)
        case event.kind
        when :bagged then bagged(event.on, event.bag)
        when :moved then bag_moved(event.on, event.place)
        when :frozen then bag_moved(event.on, event.place || @rules.freezer)
        when :thawed then bag_moved(event.on, event.place || @rules.fridge)
        when :looked then looked(event.on, event.result)
        when :suspected then suspected(event.on)
        when :dark then dark(event.on, event.result)
        end
      end

      def bagged(on, bag)
        @unknown = false
        @bag = bag
        @phase = :frozen if @place.freezer?
        say("Packed on #{Words.day(on)}, every part counted as opened that day; the earliest of the parts counts.")
        cap_bag(bag.last)
        cap_bag(there)
      end

      # What its parts would have had in this place from the first.
      def there = @bag.until_in(@place.kind, strict: @policy.by_the_date?)

      def cap_bag(found, until_on = found&.on)
        return unless found

        cap(found.kind, :bag, until_on)
        say("#{found.name} is good until #{Words.day(until_on)} #{Words.where(@place.kind)}.")
      end

      def bag_moved(on, place)
        from = @place
        @place = place
        @journal.left_the_place
        return if from.kind == place.kind

        @phase = place.freezer? ? :frozen : :thawed
        return if place.freezer? || @bag.nil? || there.nil?

        cap_bag(there, bag_until(on || @bag.on, thawed: from.freezer?))
      end

      # The day it is carried is good in either place: not a night in the warm.
      def bag_until(on, thawed:)
        return on + (there.on - @bag.on) if thawed

        [there.on, on].max
      end
    end
  end
end
