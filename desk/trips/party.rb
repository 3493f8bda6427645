# frozen_string_literal: true

require_relative "../../core/kits/band"
require_relative "../../core/trips/energy"
require_relative "../kits/who"

module NutShelf
  module Desk
    module Trips
      # Who goes along: people of the house with what they weigh and by which figure they eat.
      class Party
        # @param work [UnitOfWork]
        # @param trip [Store::Rows::Trip]
        def initialize(work, trip)
          @figures = trip.people.to_h { |one| [one["person_id"], (one["figure"] || "usual").to_sym] }
          @who = Kits::Who.new(work, people: @figures.keys)
        end

        # @return [Array<Core::Trips::Traveller>]
        def travellers
          @travellers ||= @who.known.reject { |one| one.person.infant? }.map do |one|
            Core::Trips::Traveller.new(
              name: one.row.name, kg: one.row.kg, figure: @figures.fetch(one.row.id),
              # Of somebody nobody told of, the larger figure: nobody goes hungry for that.
              group: Core::Kits::Band.energy(one.person).last
            )
          end
        end

        # @return [Integer]
        def size = travellers.size

        # @return [Array<String>] what somebody of them may not eat
        def avoid = @who.known.flat_map { |one| one.row.excludes }.uniq.sort

        # @return [Array<String>] rows of what each drinks
        def water
          travellers.map { |one| one.group.start_with?("teen") ? "water-drinking-teen" : "water-drinking-adult" }
        end
      end
    end
  end
end
