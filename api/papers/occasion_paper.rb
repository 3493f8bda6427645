# frozen_string_literal: true

require_relative "../../exchange/papers/paper"
require_relative "../views/occasion_view"

module NutShelf
  module Api
    module Papers
      # An occasion for the kitchen wall: its menu with what is still to buy, and what to begin when.
      class OccasionPaper
        MINUTES = 60
        DAY = 24 * MINUTES

        # @param work [Desk::UnitOfWork]
        # @param id [Integer]
        # @param on [Date, nil]
        def initialize(work, id, on = nil)
          @one = OccasionView.new(work).one(id, on)
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: @one[:name], subtitle: subtitle, back: "/occasions/#{@one[:id]}",
            parts: [menu, day_before, tasks, notes].compact
          )
        end

        private

        def subtitle
          day = @one[:on] && Date.iso8601(@one[:on]).strftime("%a %-d %b %Y")
          [day, Core::Words.count(@one[:heads], "person", "people"),
           "on the table at #{@one[:serve_at]}"].compact.join(", ")
        end

        def menu
          Exchange::Papers::Table.new(
            heading: "The menu", columns: ["Dish", "Portions", "Still to buy"], shares: [5, 2, 7],
            rows: @one[:menu].map { |dish| [dish[:name], dish[:servings], dish[:missing].join("; ")] }
          )
        end

        def day_before
          ahead = @one[:schedule][:ahead]
          return if ahead.empty?

          Exchange::Papers::Lines.new(
            heading: "The day before",
            items: ahead.map do |dish|
              alone = dish[:alone]
              then_alone = ", then #{minutes(alone)} by itself" if alone.positive?
              "#{dish[:name]}: #{minutes(dish[:work])} of work#{then_alone}"
            end
          )
        end

        def tasks
          rows = @one[:schedule][:tasks].map { |task| [clock(task[:begins]), "#{words(task)}#{day_of(task)}"] }
          hands = "#{Core::Words.count(@one[:cooks], "cook",
            "cooks")}, #{Core::Words.count(@one[:ovens], "oven", "ovens")}"
          Exchange::Papers::Table.new(
            heading: "What to begin when (#{hands})", columns: ["", ""], shares: [1, 8],
            rows: [*rows, [@one[:serve_at], "On the table"]]
          )
        end

        def day_of(task) = task[:begins] > minutes_of(@one[:serve_at]) ? " (the day before)" : ""

        def words(task)
          took = task[:begins] - task[:ends]
          cook = @one[:cooks] > 1 && task[:cook] ? " (cook #{task[:cook] + 1})" : ""
          case task[:kind]
          when "work" then "#{task[:name]}: #{minutes(took)} of work#{cook}"
          when "oven" then "#{task[:name]} into the oven for #{minutes(took)}"
          else "#{task[:name]} goes by itself for #{minutes(took)}"
          end
        end

        def notes
          Exchange::Papers::Lines.new(heading: "Notes", items: [@one[:notes]]) unless @one[:notes].empty?
        end

        def minutes(count) = Core::Words.count(count, "minute", "minutes")

        def minutes_of(clock)
          hours, minutes = clock.split(":").map { |text| Integer(text, 10) }
          (hours * MINUTES) + minutes
        end

        def clock(before)
          left = (minutes_of(@one[:serve_at]) - before) % DAY
          format("%<hours>02d:%<minutes>02d", hours: left / MINUTES, minutes: left % MINUTES)
        end
      end
    end
  end
end
