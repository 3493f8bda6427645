# frozen_string_literal: true

require_relative "refusal"

module NutShelf
  module Desk
    # Who sits at a meal, as it is stored.
    module Eating
      module_function

      # @param facts [Hash] with :eaters, or without
      # @param work [UnitOfWork]
      # @return [Hash] the same, eaters as the database keeps them
      # @raise [Invalid] for somebody who does not eat here
      def checked(facts, work)
        return facts unless facts[:eaters]

        people = facts[:eaters].fetch(:people, [])
        unknown = people - work.eaters.map(&:id)
        raise Refusal.of(:not_at_this_table, at: "/eaters/people") if unknown.any?

        guests = facts[:eaters].fetch(:guests, []).map { |guest| guest(guest) }
        { **facts, eaters: { "people" => people, "guests" => guests } }
      end

      # @return [Hash] of text and flags
      def guest(said)
        {
          "name" => said[:name] || "guest", "portion" => said[:portion] || "1", "strict" => said[:strict] == true,
          "excludes" => said.fetch(:excludes, [])
        }
      end
    end
  end
end
