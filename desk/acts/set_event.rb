# frozen_string_literal: true

require_relative "../act"
require_relative "../moment"
require_relative "../refusal"

module NutShelf
  module Desk
    # An hour that is prepared for: a gale, a storm. Or one that is over or called off.
    class SetEvent < Act
      FIELDS = %i[name hour fill_l flush_l helpers days has].freeze
      # Nobody prepares for what is further away.
      DAYS_AHEAD = 60

      private

      # @param input [Hash] :event_id (nil: a new one) with :version, any of FIELDS, :gone
      def perform(input)
        facts = input.slice(*FIELDS).to_h { |name, value| [name, typed(name, value)] }
        return change(input, facts) if input[:event_id]

        set = entry("set_event", "To be ready for: #{facts[:name]}")
        done(set, event_id: set.make("event", facts))
      end

      def change(input, facts)
        event = house.records.lock("event", input[:event_id])
        refuse_stale(event, input[:version], { name: event.name })
        changes = facts.reject { |name, value| event.public_send(name) == value }
        changes[:archived_at] = Time.now.utc.iso8601 if input[:gone]
        raise Refusal.of(:says_that_already) if changes.empty?

        set = entry("set_event", input[:gone] ? "#{event.name} is over" : "Changed #{event.name}")
        set.alter("event", event, changes)
        done(set, event_id: event.id)
      end

      def typed(name, value)
        case name
        when :hour then hour(value)
        when :fill_l, :flush_l then value.to_r
        when :name then value.strip
        else value
        end
      end

      def hour(text)
        moment = Moment.read(:hour, text)
        now = Time.now.utc
        return moment if moment.between?(now - (Moment::DAYS * 86_400), now + (DAYS_AHEAD * 86_400))

        raise Refusal.of(:event_far_away, at: "/hour")
      end
    end
  end
end
