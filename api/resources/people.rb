# frozen_string_literal: true

require "argon2"
require_relative "../base"
require_relative "../../desk/acts/doors"
require_relative "../../desk/acts/people"
require_relative "../../desk/acts/set_household"
require_relative "../../exchange/calendar_feed"
require_relative "../../desk/calendar_of"
require_relative "../../desk/thawing"
require_relative "../views/plan_view"
require_relative "../../store/backup"

module NutShelf
  module Api
    # Who eats here, who may sign in, and the household's ways.
    class People < Base
      get("/") { view { |room| page(room) } }

      post("/") { act(Desk::AddPerson, body_as("AddPerson")) }

      post("/:id/change") { act(Desk::ChangePerson, { person_id: id_param, **body_as("ChangePerson") }) }

      helpers do
        def page(room)
          { people: room.house.household.people.map { |row| person(row) }, members: room.caller.keeper? ? room.house.doors.members.map { |row| { **row, email: row[:email].to_s, you: row[:account_id] == room.caller.account_id } } : [],
            invitations: room.caller.keeper? ? room.house.doors.invitations.map { |row| { id: row[:id], name: row[:name], role: row[:role], expires_at: row[:expires_at].utc.iso8601 } } : [],
            feeds: room.house.doors.feeds.select { |row| row[:account_id] == room.caller.account_id }.map { |row| { id: row[:id], made_at: row[:made_at].utc.iso8601 } }, ways: ways(room) }
        end

        def person(row)
          { id: row[:id], name: row[:name], portion_factor: Core::Decimal.print(row[:portion_factor].to_r), strict: row[:strict], eats: row[:eats], excludes: row[:excludes].to_a, note: row[:note], version: row[:version] }
        end

        def ways(room)
          settings = room.household[:settings].to_h
          { name: room.household[:name], school: room.household[:school], version: room.household[:version], front_days: settings.fetch("front_days", 7), soon_days: settings.fetch("soon_days", 30),
            plan_looks: settings.fetch("plan_looks", true), count_every_days: settings.fetch("count_every_days", 90), ask_from_minor: settings.fetch("ask_from_minor", 150) }
        end
      end
    end

    # The household's ways: school, windows, rhythm.
    class Ways < Base
      post("/") { act(Desk::SetHousehold, body_as("SetHousehold")) }
    end

    # Invitations and roles.
    class Members < Base
      post("/invite") { act(Desk::Invite, body_as("Invite")) }

      post("/:id/revoke") do
        body_as("Nothing")
        act(Desk::RevokeInvitation, { invitation_id: id_param })
      end

      post("/:id/role") { act(Desk::ChangeMember, { account_id: id_param, **body_as("ChangeRole") }) }
    end

    # A one-time link turned into an account. Whoever comes here is not signed in yet.
    class Join < Base
      set :open_door, true

      post("/look") { json invitation(body_as("JoinLook")[:token]).then { |found| { household: found[:household_name], name: found[:name], role: found[:role], email: found[:for_email] } } }

      post("/") do
        input = body_as("Join")
        account = office.database.outside { |db| db.transaction { welcome(db, input) } }
        env["nut_shelf.login"].call(account)
        json({ joined: true })
      end

      helpers do
        def invitation(token)
          office.database.outside { |db| Store::Doors.invitation(db, token) } || refuse("not_found", "This link was used, taken back or is too old.", "Ask a keeper for a new one.")
        end

        def welcome(db, input)
          found = Store::Doors.invitation(db, input[:token]) || refuse("not_found", "This link was used, taken back or is too old.", "Ask a keeper for a new one.")
          db.get(Sequel.function(:set_config, "nut_shelf.household", found[:household_id].to_s, true))
          # Two who hold the same link: only the first gets in.
          refuse("not_found", "This link was used already.", "Ask a keeper for a new one.") if Store::Doors.new(db, found[:household_id]).use_invitation(found[:id]).zero?
          hash = Argon2::Password.new(t_cost: 2, m_cost: 16).create(input[:password])
          found[:for_account_id] ? again(db, found[:for_account_id], hash) : fresh(db, found, input, hash)
        end

        # After a restore: the account is there, its password is not.
        def again(db, id, hash)
          db[:accounts].where(id: id).update(password_hash: hash)
          id
        end

        def fresh(db, found, input, hash)
          refuse("invalid", "An e-mail address is needed.", "Say where you can be reached.", errors: [{ pointer: "/email", detail: "It is missing." }]) unless input[:email]
          id = db[:accounts].insert(email: input[:email], name: (input[:name] || found[:name]).strip, password_hash: hash)
          Store::Households.join(db, account_id: id, household_id: found[:household_id], role: found[:role])
          id
        end
      end
    end

    # The private calendar feed: making, ending, and reading it without a sign-in.
    class Calendar < Base
      set :open_door, true

      get("/:token.ics") do
        token = params[:token].to_s
        household = token.match?(/\A[A-Za-z0-9_-]{20,80}\z/) && office.database.outside { |db| Store::Doors.calendar(db, token) }
        household or refuse("not_found", "There is no such calendar.", "Ask for a new address.")
        office.database.within(household) do |db|
          content_type "text/calendar", charset: "utf-8"
          headers "cache-control" => "private, no-cache"
          feed(Desk::Room.new(office, Desk::Caller.new(account_id: 0, household_id: household, role: "helper"), db))
        end
      end

      helpers do
        def feed(room)
          plan = PlanView.new(room)
          thawing = Desk::Thawing.new(room, plan.pantry_of).tasks(plan.planned, plan.all_missing.last)
          Exchange::CalendarFeed.new(room.household[:name], room.today.to_time.utc).write(Desk::CalendarOf.new(room, thawing).entries)
        end
      end
    end

    # Calendar feeds of the person who asks.
    class Feeds < Base
      post("/") do
        body_as("Nothing")
        act(Desk::OpenFeed, {})
      end

      post("/:id/revoke") do
        body_as("Nothing")
        act(Desk::RevokeFeed, { feed_id: id_param })
      end
    end

    # The whole household as one JSON document.
    class Backup < Base
      get("/") do
        caller = caller!
        refuse("keeper_only", "Only a keeper can do that.", "Ask a keeper of the household.") unless caller.keeper?
        office.database.within(caller.household_id) do |db|
          content_type :json
          attachment "household.json"
          Store::Backup.write(db, caller.household_id)
        end
      end
    end
  end
end
