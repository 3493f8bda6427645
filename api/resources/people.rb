# frozen_string_literal: true

require_relative "../base"
require_relative "../views/kit_words"
require_relative "../../desk/acts/add_person"
require_relative "../../desk/acts/change_person"

module NutShelf
  module Api
    # Who eats here, who may sign in, and the household's ways.
    class People < Base
      get("/") { view { |work| page(work) } }

      post("/") { act(Desk::AddPerson, body_as("AddPerson")) }

      post("/:id/change") { act(Desk::ChangePerson, { person_id: id_param, **body_as("ChangePerson") }) }

      helpers do
        def page(work)
          {
            people: work.house.household.people.map { |row| person(row, work.today) },
            members:
              if work.caller.keeper?
                work.house.access.members.map do |row|
                  { **row.to_h, email: row.email, you: row.account_id == work.caller.account_id }
                end
              else
                []
              end,
            invitations:
              if work.caller.keeper?
                work.house.access.invitations.map do |row|
                  { id: row.id, name: row.name, role: row.role, expires_at: row.expires_at.utc.iso8601 }
                end
              else
                []
              end,
            feeds:
              work
                .house
                .access
                .feeds
                .select { |row| row.account_id == work.caller.account_id }
                .map { |row| { id: row.id, made_at: row.made_at.utc.iso8601 } },
            ways: ways(work)
          }
        end

        def person(row, today)
          {
            id: row.id,
            name: row.name,
            portion_factor: Core::Decimal.print(row.portion_factor),
            strict: row.strict,
            eats: row.eats,
            excludes: row.excludes,
            note: row.note,
            version: row.version,
            **figures(row, today)
          }
        end

        # What kits reckon with.
        def figures(row, today)
          {
            **row.slice(:sex, :activity, :pregnant, :nursing, :formula_fed, :dislikes),
            born_on: row.born_on&.iso8601, age: Desk::Kits::Who.age(row, today), kg: row.kg && KitWords.plain(row.kg)
          }
        end

        def ways(work)
          settings = work.household.settings
          {
            name: work.household.name,
            school: work.household.school,
            version: work.household.version,
            front_days: settings.fetch("front_days", 7),
            soon_days: settings.fetch("soon_days", 30),
            plan_looks: settings.fetch("plan_looks", true),
            count_every_days: settings.fetch("count_every_days", 90),
            ask_from_minor: settings.fetch("ask_from_minor", 150),
            measures: settings.fetch("measures", "metric"),
            degrees: settings.fetch("degrees", "c"),
            languages: settings.fetch("languages", []),
            season_region: settings.fetch("season_region", Core::SideTables::REGIONS.first),
            seasons: settings.fetch("seasons", {}),
            shopping_days: settings.fetch("shopping_days", []),
            shopping_month_days: settings.fetch("shopping_month_days", []),
            shopping_dates: settings.fetch("shopping_dates", []).select { |day| day >= work.today.iso8601 },
            shopping_may_fall_out: settings.fetch("shopping_may_fall_out", false),
            week_budget_minor: settings.fetch("week_budget_minor", 0),
            composts: settings.fetch("composts", true),
            animals: settings.fetch("animals", true),
            day_order: work.household.day_order,
            currency: work.household.currency,
            currency_fixed: !work.house.packs.no_price?
          }
        end
      end
    end
  end
end
