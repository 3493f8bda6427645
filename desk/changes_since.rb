# frozen_string_literal: true

require_relative "../core/value"

module NutShelf
  module Desk
    # What was changed in the household since somebody last looked, by topic, so that they ask again for nothing else.
    class ChangesSince
      # Beyond this the shelf is read anew.
      MOST = 40

      # `revision` to ask from next time, `topics` of Store::Topics, `stacks` the ids of those that acts touched, nil
      # when they are too many or a rule may have changed any. Frozen.
      Changes = Core::Value.of(:revision, :topics, :stacks)

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param since [Integer, nil] a revision; nil: nothing was seen yet
      # @return [Changes] of everything, where the number is none of this household's
      def call(since)
        now = @work.household.revision
        return Changes.new(revision: now, topics: Store::Topics::ALL) unless since && since <= now

        topics = @work.house.household.changed_since(since, @work.household)
        Changes.new(revision: now, topics: topics, stacks: topics.include?(:rules) ? nil : stacks(since))
      end

      private

      def stacks(since)
        ids = @work.house.ledger.touched_since(since, MOST + 1)
        ids.size > MOST ? nil : ids
      end
    end
  end
end
