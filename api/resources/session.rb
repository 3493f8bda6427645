# frozen_string_literal: true

require "bigdecimal/util"
require_relative "../base"
require_relative "../passwords"
require_relative "../../core/quantity/measures"
require_relative "../../desk/household_maker"
require_relative "../../store/accounts"

module NutShelf
  module Api
    # Who is signed in, and into which household; the first visit to an empty instance; the demo's own door.
    class Session < Base
      set :demo_account, nil
      set :public_address, nil
      set :open_door, true

      get("/session") { json session_view(env["nut_shelf.account_id"]) }

      # Somebody who belongs to several households goes over to another one.
      post("/session/household") do
        account = caller!.account_id
        id = body_as("ChooseHousehold")[:household_id]
        there =
          services
            .database
            .outside { |db| Store::Households.memberships(db, account) }
            .to_a
            .any? { |row| row.household_id == id }
        refuse("not_found", "You do not belong to that household.", "Choose one of yours.") unless there
        env["nut_shelf.choose"].call(id)
        env["nut_shelf.household_id"] = id
        json session_view(account)
      end

      post("/first-start") do
        input = body_as("FirstStart")
        refuse_zone(input[:time_zone])
        refuse_password(input[:password])
        account = make_first(input)
        env["nut_shelf.login"].call(account)
        json session_view(account)
      end

      post("/demo-sign-in") do
        body_as("Nothing")
        email = settings.demo_account or refuse("not_found", "There is no demo here.", "Sign in with your own name.")
        account = services.database.outside { |db| Store::Accounts.by_email(db, email) }
        env["nut_shelf.login"].call(account)
        json session_view(account)
      end

      helpers do
        def refuse_zone(zone)
          return if services.clock.zone_known?(zone)

          refuse(
            "invalid",
            "There is no time zone #{zone}.",
            "Choose one like Europe/Dublin.",
            errors: [{ pointer: "/time_zone", detail: "It is not known." }]
          )
        end

        def make_first(input)
          hash = Passwords.hash(input[:password])
          services.database.outside do |db|
            Store::Accounts.alone_at_first_start(db) do
              unless Store::Households.empty?(db)
                refuse("started", "This house has its keeper already.", "Sign in, or ask a keeper for an invitation.")
              end
              account = Store::Accounts.add(db, email: input[:email], name: input[:name].strip, password_hash: hash)
              Desk::HouseholdMaker.new(services).make(
                account,
                {
                  name: input[:household].strip,
                  **input.slice(:time_zone, :currency, :day_order, :people),
                  settings: input.slice(:measures, :languages, :degrees)
                }
              )
              account
            end
          end
        end

        def session_view(account_id)
          member, account, all = account_id && services.database.outside { |db| belonging(db, account_id) }
          base = {
            signed_in: !member.nil?,
            first_start: member.nil? && services.database.outside { |db| Store::Households.empty?(db) },
            demo: !settings.demo_account.nil?,
            csrf: env["nut_shelf.csrf"].call,
            today: services.clock.today.iso8601,
            zone: "UTC",
            account: account&.slice(:id, :name),
            address: settings.public_address,
            person: nil,
            household: nil,
            households: all.to_a
          }
          member ? base.merge(signed(member, account)) : base
        end

        # The membership in force, the account, and every household it belongs to.
        def belonging(db, account_id)
          rows = Store::Households.memberships(db, account_id)
          names = rows.size > 1 ? Store::Households.named(db, rows.map(&:household_id)) : {}
          [
            rows.find { |row| row.household_id == env["nut_shelf.household_id"] } || rows.first,
            Store::Accounts.find(db, account_id),
            rows.map { |row| { id: row.household_id, name: names.fetch(row.household_id, ""), role: row.role } }
          ]
        end

        # In what amounts may be typed, each unit with what one of it is in g or ml.
        def units(row)
          measures = Core::Measures.of(row.settings.fetch("measures", "metric"))
          { g: :mass, ml: :volume }.transform_values do |dimension|
            measures.units(dimension).map { |words, factor| { words: words, is: factor.to_d(15).to_s("F") } }
          end
        end

        def signed(member, account)
          row =
            services.database.within(member.household_id) { |db| Store::Households.new(db, member.household_id).row }
          {
            person: {
              name: account.name,
              role: member.role
            },
            household: {
              **row.slice(:id, :name, :currency, :day_order, :school),
              degrees: row.settings.fetch("degrees", "c"),
              units: units(row)
            },
            today: services.clock.today(row.time_zone).iso8601,
            zone: row.time_zone
          }
        end
      end
    end
  end
end
