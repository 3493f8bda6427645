# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # Somebody on the way: `group` as the targets call it ("adult-woman", "teen-14-18"), `kg` or nil, `figure` :low,
      # :usual or :high. Frozen.
      Traveller = Value.of(:name, :group, :kg, figure: :usual)

      # A day of a trip: its effort ("rest", "light", "hiking", "hard") and the meals eaten on the way. Frozen.
      TripDay = Value.of(:day, :effort, :meals)

      # What a day asks for: the share of a day's food, kcal, grams of protein (nil where a weight is not known).
      # Frozen.
      DayTarget = Value.of(:day, :share, :kcal, :protein_g)

      # Energy and protein of a trip by day (docs/trips.md 5).
      class Energy
        AGE_PROTEIN = {
          "child-1-3" => "protein-toddler", "child-4-8" => "protein-child", "child-9-13" => "protein-child",
          "teen-14-18" => "protein-teen", "adult-woman" => "protein-adult", "adult-man" => "protein-adult",
          "older-woman" => "protein-older", "older-man" => "protein-older"
        }.freeze
        ACTIVE = %w[hiking hard].freeze
        GROWN = /\A(?:adult|older)-/

        # @param figures [Kits::Figures]
        # @param people [Array<Traveller>]
        def initialize(figures, people)
          @figures = figures
          @people = people
        end

        # @param days [Array<TripDay>]
        # @return [Array<DayTarget>]
        def days(days)
          days.map do |day|
            share = share(day.meals)
            DayTarget.new(
              day: day.day, share: share, kcal: kcal(day.effort) * share,
              protein_g: protein(day.effort)&.then { |grams| grams * share }
            )
          end
        end

        # @param days [Array<TripDay>]
        # @return [Rational] days of food for one person
        def person_days(days) = days.sum(0r) { |day| share(day.meals) } * @people.size

        # @param number [Integer] days kept in hand
        # @return [Rational] kcal of them, lightly spent
        def spare_kcal(number) = number * kcal("light")

        private

        def share(meals) = meals.sum(0r) { |meal| @figures.usual("trip-share-#{meal}") }

        def kcal(effort) = @people.sum(0r) { |one| @figures.cell(row(one.group, effort), one.figure) }

        # Where nobody says what hard days take, a day's hiking stands in.
        def row(group, effort)
          said = "kcal-#{group}-#{effort}"
          @figures.row?(said) ? said : "kcal-#{group}-hiking"
        end

        def protein(effort)
          return if @people.any? { |one| one.kg.nil? }

          @people.sum(0r) { |one| one.kg * per_kg(one.group, effort) }
        end

        def per_kg(group, effort)
          own = @figures.usual(AGE_PROTEIN.fetch(group))
          return own unless group.match?(GROWN) && ACTIVE.include?(effort)

          [own, @figures.usual("protein-active")].max
        end
      end
    end
  end
end
