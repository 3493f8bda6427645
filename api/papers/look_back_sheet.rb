# frozen_string_literal: true

require_relative "../../core/looking_back/outcome"
require_relative "../../core/quantity/money"
require_relative "../views/look_back_view"

module NutShelf
  module Api
    module Papers
      # The tables of a look back as rows for a spreadsheet, money with two decimals.
      class LookBackSheet
        KINDS = Core::Outcome::KINDS

        # @param view [LookBackView]
        def initialize(view)
          @view = view
        end

        # @param way [String] of Books::BY, or "weeks"
        # @return [Array<String>]
        def columns(way)
          return ["from", "to", *KINDS, "spent", *of_groups, "eater days", "stock", "weeks of cover"] if way == "weeks"

          [way, *KINDS, "left", "wasted", "wasted weighs", "of it in %"]
        end

        # @param way [String]
        # @return [Array<Array>]
        def rows(way)
          way == "weeks" ? weeks.map { |week| week(week) } : @view.by(way)[:rows].map do |told|
            added_up(told)
          end
        end

        private

        def weeks = @weeks ||= @view.call[:weeks]

        def groups = @groups ||= weeks.flat_map { |week| week[:spent].map { |one| one[:group] } }.uniq.sort

        def of_groups = groups.flat_map { |group| [group, "#{group} a person and day"] }

        def by_group(week)
          groups.flat_map do |group|
            one = week[:spent].find { |spent| spent[:group] == group }
            one ? [money(one[:value_minor]),
                   one[:per_eater_day_minor] && money(one[:per_eater_day_minor])] : ["0.00", "0.00"]
          end
        end

        def week(week)
          [week[:from], week[:to], *kinds(week), money(week[:spent_minor]), *by_group(week), week[:eater_days],
           money(week[:stock_minor]), week[:cover_weeks]]
        end

        def added_up(told)
          [told[:name], *kinds(told), money(told[:leaving_minor]), money(told[:wasted_minor]), told[:wasted],
           told[:waste_permille] && format("%.1f", told[:waste_permille]/10r)]
        end

        def kinds(told) = told[:kinds].map { |kind| money(kind[:value_minor]) }

        def money(minor) = Core::Money.plain(minor)
      end
    end
  end
end
