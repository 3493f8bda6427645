# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/value"
require_relative "reckoning"
require_relative "season_book"

module NutShelf
  module Desk
    module Season
      # A day of the season that belongs into a calendar: `kind` "harvest" or "empties". Frozen.
      SeasonDay = Core::Value.of(:line_id, :kind, :on, :summary, :details)

      # Days to note for the season: the harvest with what is to be made of it, and before it the jars to be found.
      class SeasonDiary
        # Days before a harvest on which jars are looked for.
        BEFORE = 14

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param span [Range<Date>]
        # @return [Array<SeasonDay>]
        def days(span)
          told = SeasonBook.new(@work).lines.select { |one| one.plan&.to_make_ml&.positive? }
          told.flat_map { |one| [harvest(one), empties(one)].compact }.select { |day| span.cover?(day.on) }
        end

        private

        def harvest(told)
          made = Reckoning.new(@work, told).words(told.plan.to_make_ml)
          kilos = Core::Decimal.print((told.produce_g / 100).ceil.to_r / 10)
          SeasonDay.new(
            line_id: told.line.id, kind: "harvest", on: told.line.harvest_on,
            summary: "#{told.bottling? ? "Bottle" : "Dry"} #{made}: #{told.name}",
            details: [way(told, kilos), jars(told)].compact.join("; ")
          )
        end

        def way(told, kilos)
          verb = { "grow" => "Pick", "buy" => "Buy" }.fetch(told.line.get_by, "Get")
          "#{verb} about #{kilos} kg of #{told.produce_food.name.downcase}"
        end

        def jars(told)
          filled = told.plan.jars.sort.select { |_, count| count.positive? }
          return if filled.empty?

          "fill #{filled.map { |ml, count| "#{count} of #{ml.to_i} ml" }.join(", ")}"
        end

        def empties(told)
          plan = told.plan
          return unless plan.find.positive?

          SeasonDay.new(
            line_id: told.line.id, kind: "empties", on: [told.line.harvest_on - BEFORE, @work.today].max,
            summary: "Find #{plan.find} empty jars of #{plan.find_ml.to_i} ml", details: "For #{told.name.downcase}"
          )
        end
      end
    end
  end
end
