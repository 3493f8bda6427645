# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../stock_file"
require_relative "../refusal"

module NutShelf
  module Desk
    # Takes a stock list in, all or nothing. No day of purchase in the file means unknown, never today.
    class ImportStock < Act
      keeper_only

      private

      # A long list is read while others go on working.
      # @param input [Hash] see StockFile
      def prepare(input)
        file = StockFile.new(work, input)
        refuse(file) if file.problems.any? || file.rows.empty?
        @fingerprint = file.fingerprint
        @stacks = file.rows.map { |row| stack(row) }
      end

      def perform(_input)
        stacks = @stacks
        house.lots.expect_many(stacks.size)
        brought = entry("import", "Brought in #{stacks.size} stacks from a list", subject: @fingerprint)
        write(brought, stacks)
        done(brought, stacks: stacks.size)
      end

      def refuse(file)
        errors =
          file
            .problems
            .first(100)
            .map { |problem| { pointer: "/line/#{problem.line}/#{problem.column}", detail: problem.reason } }
        raise Refusal.of(:import_unreadable, problems: file.problems.size, errors: errors)
      end

      def stack(row)
        NewStack.new(work, row.input, acquired: row.input.key?(:occurred_on))
      rescue Invalid => e
        raise Refusal.of(:import_line, line: row.line, words: e.message, remedy: e.remedy,
          errors: [{ pointer: "/line/#{row.line}", detail: e.message }])
      end

      def write(brought, stacks)
        facts = stacks.map { |stack| brought.dated(stack.facts) }
        ids = house.lots.add_many(facts)
        house.ledger.event_many(brought.act_id, ids.zip(facts))
        house.ledger.move_many(
          ids.zip(stacks, facts).map do |id, stack, dates|
            {
              act_id: brought.act_id,
              lot_id: id,
              quantity: stack.quantity,
              value_minor: stack.value,
              reason: "brought_in",
              **brought.as_it_was(Store::Rows::Lot.new(**dates))
            }
          end
        )
      end
    end
  end
end
