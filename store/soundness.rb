# frozen_string_literal: true

require_relative "containers"
require_relative "table"

module NutShelf
  module Store
    # What must hold of a household whatever act, undo or restore made of it, beyond what constraints can say.
    class Soundness < Table
      # @return [Array<String>] what does not hold, in words; empty as it should be
      def faults = [*lost_stacks, *lost_places, *circles, *jars, *lost_jars]

      private

      # SELECT places.name, count(*) FROM lots JOIN places ... WHERE on_hand > 0 AND archived_at IS NOT NULL GROUP BY 1
      def lost_stacks
        counted(:lots, :place_id, :places) { on_hand > 0 }.map do |name, count|
          "#{count} #{count == 1 ? "stack stands" : "stacks stand"} in #{name}, which was taken away"
        end
      end

      def lost_places
        rows(:places)
          .join(
            Sequel[:places].as(:outer),
            household_id: Sequel[:places][:household_id],
            id: Sequel[:places][:parent_id]
          )
          .where(Sequel[:places][:archived_at] => nil)
          .exclude(Sequel[:outer][:archived_at] => nil)
          .select_map([Sequel[:places][:name], Sequel[:outer][:name].as(:around)])
          .map { |name, around| "#{name} stands in #{around}, which was taken away" }
      end

      # Places that stand inside themselves.
      def circles
        parents = rows(:places).select_hash(:id, :parent_id)
        names = rows(:places).select_hash(:id, :name)
        parents.keys.select { |id| circle?(parents, id) }.map { |id| "#{names[id]} stands inside itself" }
      end

      def circle?(parents, id)
        seen = []
        at = parents[id]
        until at.nil? || seen.include?(at)
          return true if at == id

          seen << at
          at = parents[at]
        end
        false
      end

      # SELECT containers.name, owned, sum(jars) FROM lots JOIN containers ... GROUP BY ... HAVING sum(jars) > owned
      def jars
        rows(:lots)
          .join(:containers, household_id: Sequel[:lots][:household_id], id: Sequel[:lots][:container_id])
          .where { on_hand > 0 }
          .group(Sequel[:containers][:id], Sequel[:containers][:name], Sequel[:containers][:owned])
          .having { Sequel[:containers][:owned] < Containers::JARS }
          .select_map([Sequel[:containers][:name], Sequel[:containers][:owned], Containers::JARS.as(:used)])
          .map { |name, owned, used| "#{used} of #{name} are in use, and there are only #{owned}" }
      end

      def lost_jars
        counted(:lots, :container_id, :containers) { on_hand > 0 }.map do |name, _|
          "#{name} is in use, and was taken away"
        end
      end

      def counted(table, key, other, &)
        rows(table)
          .join(other, household_id: Sequel[table][:household_id], id: Sequel[table][key])
          .where(&)
          .exclude(Sequel[other][:archived_at] => nil)
          .group(Sequel[other][:name])
          .select_map([Sequel[other][:name], Sequel.function(:count).*.as(:how_many)])
      end
    end
  end
end
