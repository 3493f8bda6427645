# frozen_string_literal: true

require "argon2"
require_relative "../base"
require_relative "../../store/doors"

module NutShelf
  module Api
    # A one-time link turned into an account. Whoever comes here is not signed in yet.
    class Join < Base
      set :open_door, true

      post("/look") { json(invitation(body_as("JoinLook")[:token]).then { |found| { household: found[:household_name], name: found[:name], role: found[:role], email: found[:for_email] } }) }

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
          # Before the link is used up: a halt commits what was written.
          refuse("invalid", "An e-mail address is needed.", "Say where you can be reached.", errors: [{ pointer: "/email", detail: "It is missing." }]) unless found[:for_account_id] || input[:email]
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
          id = db[:accounts].insert(email: input[:email], name: (input[:name] || found[:name]).strip, password_hash: hash)
          Store::Households.join(db, account_id: id, household_id: found[:household_id], role: found[:role])
          id
        end
      end
    end
  end
end
