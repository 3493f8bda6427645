# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Changes what is known of a size of jar: how many there are, what one weighs empty, where the mark is.
    class ChangeContainer < Act
      FIELDS = %i[name kind capacity_ml owned shape tare_g full_at place_id].freeze

      private

      # @param input [Hash] :container_id, :version, any of FIELDS
      def perform(input)
        jar = house.records.lock("container", input[:container_id])
        refuse_stale(jar, input[:version], jar.slice(*FIELDS).transform_values { |value| value&.to_s })
        work.place_in_use(input[:place_id]) if input[:place_id]
        changes =
          input
            .slice(*FIELDS)
            .to_h { |name, value| [name, %i[tare_g full_at].include?(name) ? value&.to_r : value] }
            .reject { |name, value| jar.public_send(name) == value }
        raise Refusal.of(:says_that_already) if changes.empty?

        refuse_fewer(jar, changes[:owned])
        changed = entry("change_container", "Changed #{jar.name}")
        changed.alter("container", jar, changes)
        done(changed, container_id: jar.id)
      end

      def refuse_fewer(jar, owned)
        used = house.containers.in_use(jar.id)
        return if owned.nil? || owned >= used

        raise Refusal.of(:jars_in_use, used: used)
      end
    end
  end
end
