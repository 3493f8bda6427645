# frozen_string_literal: true

require_relative "../../desk/counting"
require_relative "stack_view"

module NutShelf
  module Api
    # A count as JSON: what is expected beside what was found, and at the end what differs.
    class CountView
      # @param work [Desk::UnitOfWork]
      def initialize(work, count)
        @work = work
        @count = count
        @counting = Desk::Counting.new(work, count)
        @stacks = StackView.new(work)
      end

      # @return [Hash]
      def call
        lines = @counting.lines
        by_lot = lines.select(&:lot_id).to_h { |line| [line.lot_id, line] }
        expected = @counting.expected
        gone = by_lot.keys - expected.map(&:id)
        {
          id: @count.id,
          status: @count.status,
          place_id: @count.place_id,
          place: @work.place(@count.place_id).name,
          person: @count.person,
          started_at: @count.started_at.utc.iso8601,
          places: @counting.place_ids.map { |id| { id: id, name: @work.place(id).name } },
          expected: expected.map { |stack| expected(stack, by_lot[stack.id]) },
          unexpected: lines.select { |line| line.found == "new" }.map { |line| unexpected(line) },
          moved_away: gone.size
        }
      end

      # @return [Array<Hash>]
      def differences = @counting.differing.map { |one| one.lot ? changed(one) : found(one) }

      private

      def expected(stack, line)
        quarters = stack.open && (stack.pack_amount || stack.noun) && stack.level.nil?
        {
          stack: @stacks.call(stack),
          place: stack.place,
          packs: stack.open || stack.level ? nil : packs(stack),
          quarters: quarters ? true : false,
          container_id: stack.container_id,
          line: line && line(line, stack)
        }
      end

      # How many whole packs should stand there, when that is how one counts them.
      def packs(stack)
        count = stack.on_hand / (stack.pack_amount || 1)
        count.denominator == 1 ? count.to_i : nil
      end

      def line(line, row)
        {
          id: line.id,
          found: line.found,
          words: words(line, row),
          delta: line.delta && Core::Decimal.print(line.delta.to_r),
          level: line.level,
          person: line.person
        }
      end

      def words(line, row)
        return line.level if line.found == "level"
        return "gone" if line.found == "gone" || line.amount.zero?

        @work.wording(row, amount: line.amount)
      end

      def unexpected(line)
        stack = @counting.stack(line)
        {
          id: line.id,
          words: stack.words,
          place_id: stack.place_id,
          place: @work.place(stack.place_id).name,
          printed_on: stack.printed_on&.iso8601,
          person: line.person
        }
      end

      def changed(one)
        lot = one.lot
        {
          line_id: one.line.id,
          lot_id: lot.id,
          name: lot.name(@work.food(lot.food_id)),
          place: @work.place(lot.place_id).name,
          expected: @work.wording(lot),
          found: found_words(lot, one.difference.delta),
          delta: signed(lot, one.difference.delta),
          value_minor: one.difference.value_minor,
          less: one.difference.delta.negative?,
          ask: one.difference.ask,
          likely: one.difference.likely,
          reasons: one.difference.reasons,
          candidates: []
        }
      end

      def found_words(lot, delta)
        left = lot.on_hand + delta
        left.zero? ? "nothing" : @work.wording(lot, amount: left)
      end

      def signed(lot, delta) = "#{delta.negative? ? "−" : "+"}#{@work.wording(lot, amount: delta.abs)}"

      def found(one)
        {
          line_id: one.line.id,
          lot_id: nil,
          name: @work.food(one.stack.food_id).name,
          place: @work.place(one.stack.place_id).name,
          expected: "not expected",
          found: one.stack.words,
          delta: "+#{one.stack.words}",
          value_minor: one.stack.value,
          less: false,
          ask: one.candidates.any?,
          likely: "found",
          reasons: ["found"],
          candidates: one.candidates.map { |candidate| candidate(candidate) }
        }
      end

      def candidate(candidate)
        lot = @work.house.lots.one(candidate.id)
        where = @work.place(lot.place_id).name
        missing = candidate.missing.positive?
        {
          lot_id: candidate.id,
          words:
            if missing
              "carried here: missing in #{where}"
            else
              "carried here from #{where}, where #{@work.wording(lot)} should stand"
            end,
          missing: missing
        }
      end
    end
  end
end
