# frozen_string_literal: true

require_relative "command"
require_relative "entry"
require_relative "foresight"
require_relative "refusal"

module NutShelf
  module Desk
    # A command that the ledger keeps: it has an entry with its movements and events, stands in the history, and can be
    # taken back.
    class Act < Command
      # What the act would do, without doing it: it runs in a transaction that is taken back.
      # @param input [Hash]
      # @return [Hash] the dates of every stack it would touch, see Foresight
      def foresee(input)
        permit
        seen = nil
        @services.database.trying(@caller.household_id) do |db|
          @work = UnitOfWork.new(@services, @caller, db)
          lock
          seen = Foresight.new(@work, input[:lot_id]).call(perform(input))
        end
        seen
      end

      private

      # Opens an act and answers what the interface needs to report and to undo it.
      def entry(kind, summary, on: nil, undoes: nil, subject: nil)
        Entry.open(work, kind: kind, summary: summary, occurred_on: on || work.on, undoes: undoes, subject: subject)
      end

      # For a person's own good: two keepers who change the same record must not overwrite each other unseen.
      # @param row [#version] as locked
      # @param seen [Integer, nil] the version the person looked at
      def refuse_stale(row, seen, shown)
        return if seen.nil? || row.version == seen

        raise Refusal.of(:changed_meanwhile, current: shown)
      end

      # What a late act could not do any more is said with it.
      def done(entry, **more)
        {
          act_id: entry.act_id,
          summary: entry.summary,
          **more,
          **(work.unsettled.empty? ? {} : { unsettled: work.unsettled })
        }
      end
    end
  end
end
