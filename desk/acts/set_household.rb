# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../refusal"

module NutShelf
  module Desk
    # The household's ways: its school past a best-before date, its windows, its rhythm of counting. When the school
    # changes, every stack is dated anew.
    class SetHousehold < Act
      keeper_only
      SETTINGS = %w[
        front_days soon_days plan_looks count_every_days ask_from_minor price_per_kg measures languages degrees
        planned_meals usual_minutes plan_rules season_region seasons shopping_days shopping_month_days
        shopping_dates shopping_may_fall_out week_budget_minor composts animals
      ].freeze
      COLUMNS = %i[name school day_order currency].freeze

      private

      # @param input [Hash] :version, :name, :school, :day_order, :currency, :settings (only what changes)
      def perform(input)
        row = house.records.lock("household", @caller.household_id)
        refuse_stale(row, input[:version], { name: row.name, school: row.school })
        changes = input.slice(*COLUMNS).reject { |name, value| row.public_send(name) == value }
        settings = row.settings.merge((input[:settings] || {}).transform_keys(&:to_s).slice(*SETTINGS))
        changes[:settings] = settings unless settings == row.settings
        raise Refusal.of(:says_that_already) if changes.empty?

        keep_currency if changes.key?(:currency)
        windows(settings)
        set =
          entry(
            "set_household",
            if changes[:school]
              "The school is now: #{Core::Policy.new(school: changes[:school].to_sym).school_words}"
            else
              "Changed the household's ways"
            end
          )
        set.alter("household", row, changes)
        done(set, redated: RedateStacks.new(work, set).follow)
      end

      # Prices that are stored are in the old money, and nobody here knows the rate.
      def keep_currency
        return if house.packs.no_price?

        raise Refusal.of(:currency_stays, at: "/currency", currency: work.household.currency)
      end

      def windows(settings)
        front = settings.fetch("front_days", 7)
        return if front < settings.fetch("soon_days", 30)

        raise Refusal.of(:windows_crossed, at: "/settings/front_days")
      end
    end
  end
end
