# frozen_string_literal: true

require_relative "../act"
require_relative "../carried"
require_relative "../counting"
require_relative "../refusal"

module NutShelf
  module Desk
    # Makes the stock what the count found, in one act: differences with their reasons, what was carried from elsewhere,
    # new stacks, and the day everything was seen.
    class FinishCount < Act
      private

      # @param input [Hash] :count_id, :reasons {line id => reason}, :moves {line id => stack it was carried from}
      def perform(input)
        @count = house.counts.lock(input[:count_id])
        refuse
        @counting = Counting.new(work, @count)
        @moves = numbers(input[:moves]).transform_values(&:to_i)
        @reasons = numbers(input[:reasons])
        @seen = house.lots.lock_seen([*@counting.lines.filter_map(&:lot_id), *@moves.values].uniq)
        lots = in_hand
        differing = @counting.differing(lots, candidates: false)
        finished = entry("count", words(differing), subject: @count.id)
        @silent = silent_places
        write(finished, lots, differing)
        done(finished, count_id: @count.id, place_id: @count.place_id, differences: differing.size)
      end

      def refuse
        return if @count.status == "open"

        raise Refusal.of(@count.status == "finished" ? :count_finished : :count_thrown_away)
      end

      # Stacks that change, whole; all of them are locked already.
      def in_hand
        levels = @counting.lines.select { |line| line.found == "level" }
        house
          .lots
          .every([*[*@counting.changing, *levels].map(&:lot_id), *@moves.values].uniq)
          .to_h { |lot| [lot.id, lot] }
      end

      # JSON has no numbers for keys.
      def numbers(hash) = (hash || {}).to_h { |line, value| [line.to_s.to_i, value] }

      def words(differing)
        counted = @counting.lines.size
        "Counted #{work.place(@count.place_id).name}: #{counted} #{counted == 1 ? "stack" : "stacks"}, " \
          "#{differing.empty? ? "all as expected" : "#{differing.size} different"}"
      end

      def write(finished, lots, differing)
        see(finished)
        carried = Carried.new(work, finished, lots)
        found, changed = differing.partition { |one| one.lot.nil? }
        found.each do |one|
          if @moves[one.line.id]
            carried.from(lots[@moves[one.line.id]] || gone_stack, one.stack)
          else
            one.stack.found(finished)
          end
        end
        post(finished, changed, carried.explained)
        @counting
          .lines
          .select { |line| line.found == "level" }
          .each { |line| level(finished, lots.fetch(line.lot_id), line.level) }
        close(finished)
      end

      def gone_stack
        raise(Refusal.of(:carried_from_nowhere, at: "/moves"))
      end

      def see(finished)
        ids = @counting.lines.filter_map(&:lot_id).to_set
        seen = @seen.select { |row| ids.include?(row.id) }
        return if seen.empty?

        house.ledger.seen_many(finished.act_id, seen, work.today, @counting.seen)
        house.lots.seen_many(ids.to_a, work.today)
      end

      # @param explained [Hash{Integer=>Rational}] what of a stack's lack was found elsewhere
      def post(finished, changed, explained)
        rows = changed.filter_map { |one| movement(finished, one, explained.fetch(one.lot.id, 0r)) }
        house.ledger.move_many(rows) if rows.any?
      end

      def movement(finished, one, explained)
        return post_rest(finished, one, explained) if explained.positive?

        signed = one.difference.delta.negative? ? -one.difference.value_minor : one.difference.value_minor
        {
          act_id: finished.act_id,
          lot_id: one.lot.id,
          quantity: one.difference.delta,
          value_minor: signed,
          reason: reason(one),
          why: "counted",
          **finished.as_it_was(one.lot)
        }
      end

      # Some of what was missing turned up in another place; only the rest is gone.
      def post_rest(finished, one, explained)
        lot = house.lots.one(one.lot.id)
        left = one.difference.delta + explained
        return unless left.negative?

        value = Core::Money.share(lot.value_minor, [-left, lot.on_hand].min, lot.on_hand)
        {
          act_id: finished.act_id,
          lot_id: lot.id,
          quantity: [left, -lot.on_hand].max,
          value_minor: -value,
          reason: reason(one),
          why: "counted",
          **finished.as_it_was(lot)
        }
      end

      def reason(one)
        said = @reasons[one.line.id]
        return one.difference.likely if said.nil?
        return said if one.difference.reasons.include?(said)

        raise Refusal.of(:unknown_reason, at: "/reasons/#{one.line.id}", said: said,
          reasons: one.difference.reasons.join(", "))
      end

      def level(finished, lot, level) = lot.level == level || finished.change(lot, "level", { level: level })

      # Where something stands that nobody said a word about, before anything new is put there.
      def silent_places
        house.lots.places_besides(@counting.place_ids, @counting.lines.filter_map(&:lot_id))
      end

      # A place is counted when a word was said about everything in it.
      def close(finished)
        finished.alter("count", @count, { status: "finished" })
        (@counting.place_ids - @silent).each do |id|
          finished.alter("place", house.records.lock("place", id), { counted_on: work.today })
        end
      end
    end
  end
end
