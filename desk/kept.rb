# frozen_string_literal: true

module NutShelf
  module Desk
    # What was worked out once and holds until something it rests on is written to: the latest of each kind, for so
    # many households (see UnitOfWork#kept). Its mark says what it rests on: two processes that keep it under one
    # mark keep the same. Safe for threads; nothing else of the house remembers.
    class Kept
      MOST = 64

      # @param most [Integer] how many to keep
      def initialize(most: MOST)
        @most = most
        @lock = Mutex.new
        @known = {}
      end

      # @param slot [Array] whose it is, and what
      # @param mark [Array] what it rests on
      # @yield makes what is not known yet
      # @return [Object] frozen
      def keep(slot, mark)
        known(slot, mark) { yield.tap { |made| remember(slot, mark, made) } }
      end

      # The same without keeping what is made: for whoever may be in the middle of a change.
      # @yield makes what is not known
      # @return [Object]
      def known(slot, mark)
        found = @lock.synchronize { (kept = @known.delete(slot)) && (@known[slot] = kept) }
        found && found.first == mark ? found.last : yield
      end

      # @param slot [Array]
      # @yieldparam mark [Array] what the last one rests on
      # @return [Object, nil] the last one that was kept, where the block says that it will do
      def last(slot)
        mark, made = @lock.synchronize { @known[slot] }
        made if mark && yield(mark)
      end

      # Forgets everything.
      def clear = @lock.synchronize { @known.clear }

      private

      # The one nobody asked for longest goes.
      def remember(slot, mark, made)
        @lock.synchronize do
          @known.delete(slot)
          @known[slot] = [mark, made].freeze
          @known.shift while @known.size > @most
        end
      end
    end
  end
end
