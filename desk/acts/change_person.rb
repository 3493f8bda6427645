# frozen_string_literal: true

require_relative "add_person"
require_relative "../kits/who"
require_relative "../refusal"

module NutShelf
  module Desk
    # Changes what is known of an eater.
    class ChangePerson < AddPerson
      keeper_only

      private

      # @param input [Hash] :person_id, :version, FIELDS; :gone true when they do not live here any more
      def perform(input)
        person = house.records.lock("person", input[:person_id])
        refuse_stale(person, input[:version], person.slice(:name, :note).transform_values(&:to_s))
        changes = facts(told_anew(person, input)).reject { |name, value| person.public_send(name) == value }
        changes[:archived_at] = Time.now.utc.iso8601 if input[:gone]
        raise Refusal.of(:says_that_already) if changes.empty?

        changed =
          entry(
            "change_person",
            input[:gone] ? "#{person.name} does not eat here any more" : "Changed what is known of #{person.name}"
          )
        changed.alter("person", person, changes)
        done(changed, person_id: person.id)
      end

      # An age that is said again is no news: it has grown by itself.
      def told_anew(person, input)
        input.key?(:age) && Kits::Who.age(person, work.today) == input[:age] ? input.except(:age) : input
      end
    end
  end
end
