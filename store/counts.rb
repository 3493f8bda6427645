# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Counts under way and what was entered in them. A line is what somebody found; it changes no stock until the
    # count is finished.
    class Counts < Table
      # SELECT counts.*, accounts.name AS person FROM counts JOIN accounts ... WHERE status = 'open' ORDER BY id
      def open = with_person.where(status: "open").order(Sequel[:counts][:id]).all

      # @return [Rows::PersonsCount]
      # @raise [Missing]
      def find(id) = found(with_person.where(Sequel[:counts][:id] => id).first, "count")

      # Locked: while somebody finishes, nobody enters a line.
      def lock(id) = found(rows(:counts).where(id: id).for_update.first, "count")

      # Held in share mode, so that many hands may enter lines at once and none after the finish.
      def hold(id) = found(rows(:counts).where(id: id).for_share.first, "count")

      # @param status [String] "open", "finished" or "thrown"
      def set_status(id, status) = rows(:counts).where(id: id).update(status: status)

      # @return [Integer] id
      def add(place_id:, account_id:) = insert(:counts, place_id: place_id, account_id: account_id)

      # SELECT count_lines.*, accounts.name AS person FROM count_lines JOIN accounts ... WHERE count_id = 4 AND NOT
      #   removed ORDER BY id
      def lines(count_id)
        rows(:count_lines)
          .join(:accounts, id: Sequel[:count_lines][:account_id])
          .where(count_id: count_id, removed: false)
          .select_all(:count_lines)
          .select_append(Sequel[:accounts][:name].as(:person))
          .order(Sequel[:count_lines][:id])
          .then { |found| rows_as(found, Rows::PersonsLine).all }
      end

      # SELECT count_id, count(*) FROM count_lines WHERE NOT removed GROUP BY count_id
      # @return [Hash{Integer=>Integer}] how many lines stand in each count
      def sizes = rows(:count_lines).where(removed: false).group_and_count(:count_id).as_hash(:count_id, :count)

      # @return [Integer] id; what was entered for the stack before is replaced
      def enter(count_id:, account_id:, lot_id: nil, draft: nil, **facts)
        rows(:count_lines).where(count_id: count_id, lot_id: lot_id, removed: false).update(removed: true) if lot_id
        insert(
          :count_lines,
          count_id: count_id,
          account_id: account_id,
          lot_id: lot_id,
          draft: draft && json(draft),
          **facts
        )
      end

      # INSERT INTO count_lines (...) VALUES (...), (...)
      def enter_many(list) = db[:count_lines].multi_insert(list.map { |facts| { household_id: household_id, **facts } })

      # @return [Integer] lines taken back
      def clear(count_id, line_id)
        rows(:count_lines).where(count_id: count_id, id: line_id, removed: false).update(removed: true)
      end

      # What counts wrote off lately and has not turned up since, for "missing here, found there".
      # SELECT lot_id, -sum(quantity) AS missing FROM movements JOIN acts ... WHERE why = 'counted' ... GROUP BY lot_id
      #   HAVING sum(quantity) < 0
      def lost_since(day)
        db[:movements]
          .join(:acts, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:act_id] })
          .where(Sequel[:movements][:household_id] => household_id, :why => "counted")
          .where { Sequel[:acts][:occurred_on] >= day }
          .exclude(
            Sequel[:acts][:id] =>
              taken_back
          )
          .group(Sequel[:movements][:lot_id])
          .having { sum(Sequel[:movements][:quantity]) < 0 }
          .select_hash(Sequel[:movements][:lot_id], Sequel.lit("-sum(movements.quantity)").as(:missing))
          .transform_values(&:to_r)
      end

      # Lines of open counts that say a stack has less than it should.
      # @return [Hash{Integer=>Rational}] what is missing by stack
      def missing_in_open
        rows(:count_lines)
          .join(:counts, { household_id: Sequel[:count_lines][:household_id], id: Sequel[:count_lines][:count_id] })
          .where(status: "open", removed: false)
          .where { delta < 0 }
          .select_hash(:lot_id, Sequel.lit("-delta").as(:missing))
          .transform_values(&:to_r)
      end

      # Lines of counts under way that speak of a stack.
      def open_lines(lot_id)
        rows(:count_lines)
          .join(:counts, { household_id: Sequel[:count_lines][:household_id], id: Sequel[:count_lines][:count_id] })
          .where(status: "open", removed: false, lot_id: lot_id)
          .select_all(:count_lines)
          .all
      end

      private

      def with_person
        rows_as(rows(:counts), Rows::PersonsCount)
          .join(:accounts, id: Sequel[:counts][:account_id])
          .select_all(:counts)
          .select_append(Sequel[:accounts][:name].as(:person))
      end
    end
  end
end
