# frozen_string_literal: true

require "argon2"
require_relative "../base"
require_relative "../../desk/household_maker"

module NutShelf
  module Api
    # Who is signed in; the first visit to an empty instance; the demo's own door.
    class Session < Base
      set :demo_account, nil
      set :open_door, true

      get("/session") { json session_view(env["nut_shelf.account_id"]) }

      post("/first-start") do
        input = body_as("FirstStart")
        refuse("invalid", "There is no time zone #{input[:time_zone]}.", "Choose one like Europe/Dublin.", errors: [{ pointer: "/time_zone", detail: "It is not known." }]) unless office.clock.zone_known?(input[:time_zone])
        account = make_first(input)
        env["nut_shelf.login"].call(account)
        json session_view(account)
      end

      post("/demo-sign-in") do
        email = settings.demo_account or refuse("not_found", "There is no demo here.", "Sign in with your own name.")
        account = office.database.outside { |db| db[:accounts].where(email: email).get(:id) }
        env["nut_shelf.login"].call(account)
        json session_view(account)
      end

      helpers do
        def make_first(input)
          office.database.outside do |db|
            db.transaction do
              db.get(Sequel.function(:pg_advisory_xact_lock, 720_411))
              refuse("started", "This house has its keeper already.", "Sign in, or ask a keeper for an invitation.") unless Store::Households.empty?(db)
              account = db[:accounts].insert(email: input[:email], name: input[:name].strip, password_hash: Argon2::Password.new(t_cost: 2, m_cost: 16).create(input[:password]))
              Desk::HouseholdMaker.new(office).make(account, { name: input[:household].strip, **input.slice(:time_zone, :currency, :day_order, :people) })
              account
            end
          end
        end

        def session_view(account_id)
          member, account = account_id && office.database.outside { |db| [Store::Households.membership(db, account_id), db[:accounts].first(id: account_id)] }
          base = { signed_in: !member.nil?, first_start: member.nil? && office.database.outside { |db| Store::Households.empty?(db) }, demo: !settings.demo_account.nil?, csrf: env["nut_shelf.csrf"].call,
                   today: office.clock.today.iso8601, person: nil, household: nil }
          member ? base.merge(signed(member, account)) : base
        end

        def signed(member, account)
          row = office.database.within(member[:household_id]) { |db| Store::Households.new(db, member[:household_id]).row }
          { person: { name: account[:name], role: member[:role] }, household: row.slice(:name, :currency, :day_order, :school), today: office.clock.today(row[:time_zone]).iso8601 }
        end
      end
    end
  end
end
