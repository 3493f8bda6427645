# frozen_string_literal: true

require_relative "../../core/quantity/money"
require_relative "../../exchange/papers/paper"
require_relative "look_back_sheet"

module NutShelf
  module Api
    module Papers
      # A month on a page: what became of the food, what went to waste and where from, what was spent, what ran out.
      class MonthPaper
        MOST = 12
        WAYS = {
          "bought" => "Bought", "made" => "Made here", "brought_in" => "Brought in by a list",
          "found" => "Found in counts", "corrected" => "Corrected"
        }.freeze

        # @param work [Desk::UnitOfWork]
        # @param from [Date]
        # @param to [Date]
        def initialize(work, from:, to:)
          @work = work
          @view = LookBackView.new(work, from: from, to: to)
          @from = from
          @to = to
        end

        # @return [Exchange::Papers::Paper]
        def call
          @told = @view.call
          Exchange::Papers::Paper.new(
            title: "#{@work.household.name}: what became of the food",
            subtitle: "#{day(@from)} to #{day(@to)}, in #{@work.household.currency}", back: "/look-back",
            parts: [
              outcomes, balance, wasted("food", "Wasted, by food"), wasted("reason", "Wasted, by reason"), weeks, ran
            ]
          )
        end

        private

        def outcomes
          kinds = @told[:total][:kinds].map do |kind|
            [OutcomeNames::KINDS.fetch(kind[:kind]), money(kind[:value_minor]), kind[:amount], share(kind[:permille])]
          end
          table("What became of it", ["", "Worth", "Weighs", "Of all that left"], [4, 2, 2, 2], kinds)
        end

        def balance
          sums = @told[:balance]
          rows = [
            ["In the house before", money(sums[:opening_minor])],
            *sums[:came].map { |one| ["+ #{WAYS.fetch(one[:way])}", money(one[:value_minor])] },
            *sums[:left].map { |one| ["- #{OutcomeNames::KINDS.fetch(one[:kind])}", money(one[:value_minor])] },
            ["= In the house after", money(sums[:closing_minor])]
          ]
          table("How the sums add up", ["", "Worth"], [4, 2], rows.reject { |_, sum| sum == "0.00" })
        end

        def wasted(way, heading)
          most = @view.by(way)[:rows].select { |told| told[:wasted_minor].positive? }.first(MOST)
          cells = most.map do |told|
            [told[:name], money(told[:wasted_minor]), told[:wasted], share(told[:waste_permille])]
          end
          table(heading, ["", "Worth", "Weighs", "Of what left"], [4, 2, 2, 2], cells)
        end

        def weeks
          rows = @told[:weeks].map do |week|
            ["#{day(week[:from])} to #{day(week[:to])}", money(week[:spent_minor]), money(week[:per_eater_day_minor]),
             money(week[:stock_minor]), week[:cover_weeks].to_s]
          end
          columns = ["", "Spent", "A person and day", "In the house", "Weeks it would last"]
          table("Week by week", columns, [4, 2, 2, 2, 2], rows)
        end

        def ran
          rows = @told[:ran_out].first(MOST).map do |one|
            [one[:food], day(one[:on]), one[:until] ? day(one[:until]) : "not yet"]
          end
          table("What ran out", ["", "On", "More came"], [4, 2, 2], rows)
        end

        def table(heading, columns, shares, rows)
          Exchange::Papers::Table.new(heading: heading, columns: columns, shares: shares, rows: rows)
        end

        def day(day) = Date.parse(day.to_s).strftime("%-d %b %Y")

        def money(minor) = minor ? Core::Money.plain(minor) : ""

        def share(permille) = permille ? "#{format("%.1f", permille/10r)} %" : ""
      end
    end
  end
end
