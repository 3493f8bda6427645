# frozen_string_literal: true

module NutShelf
  module Desk
    # What was worked out once and holds until something it rests on is written to: a few of the latest, by keys that
    # name the household and the revisions (see Room#kept). Safe for threads; nothing else of the house remembers.
    class Kept
      MOST = 48

      # @param most [Integer] how many to keep
      def initialize(most: MOST)
        @most = most
        @lock = Mutex.new
        @known = {}
      end

      # @param key [Array]
      # @yield makes what is not known yet
      # @return [Object] frozen
      def fetch(key)
        known(key) { yield.tap { |made| keep(key, made) } }
      end

      # The same without keeping what is made: for whoever may be in the middle of a change.
      # @param key [Array]
      # @yield makes what is not known
      # @return [Object]
      def known(key)
        found = @lock.synchronize { (value = @known.delete(key)) && (@known[key] = value) }
        found || yield
      end

      # Forgets everything.
      def clear = @lock.synchronize { @known.clear }

      private

      # The one nobody asked for longest goes.
      def keep(key, made)
        @lock.synchronize do
          @known[key] = made
          @known.shift while @known.size > @most
        end
      end
    end
  end
end
