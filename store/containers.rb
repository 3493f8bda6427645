# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Jars, tubs and boxes by size; how many of them are in use follows from the stacks.
    class Containers < Table
      # A stack of closed jars takes one for each pack of it; what was poured into a jar takes that one.
      JARS = Sequel.function(
        :sum,
        Sequel.case(
          { Sequel.expr(Sequel[:lots][:open] | { Sequel[:lots][:pack_amount] => nil }) => 1 },
          Sequel.function(:ceil, Sequel[:lots][:on_hand] / Sequel.function(:nullif, Sequel[:lots][:pack_amount], 0))
        )
      ).cast(Integer).freeze

      # SELECT containers.*, (SELECT sum(jars) FROM lots ... on_hand > 0) AS in_use FROM containers ... ORDER BY
      #   capacity_ml, name
      def all
        used =
          db[:lots]
            .where(household_id: household_id)
            .where { on_hand > 0 }
            .exclude(container_id: nil)
            .group(:container_id)
            .select(:container_id, JARS.as(:in_use))
        rows(:containers)
          .where(archived_at: nil)
          .left_join(used.as(:used), container_id: Sequel[:containers][:id])
          .select_all(:containers)
          .select_append(Sequel.function(:coalesce, Sequel[:used][:in_use], 0).as(:in_use))
          .order(:capacity_ml, :name)
          .then { |found| rows_as(found, Rows::UsedContainer).all }
      end

      # @return [Rows::Container]
      # @raise [Missing]
      def find(id) = found(rows(:containers).where(id: id, archived_at: nil).first, "jar or box")

      # Also one that is out of sight, for stacks that remember it.
      def any(id) = found(rows(:containers).where(id: id).first, "jar or box")

      # SELECT sum(jars) FROM lots WHERE household_id = 7 AND container_id = 3 AND on_hand > 0
      def in_use(id) = rows(:lots).where(container_id: id).where { on_hand > 0 }.get(JARS) || 0
    end
  end
end
