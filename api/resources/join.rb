# frozen_string_literal: true

require_relative "../base"
require_relative "../passwords"
require_relative "../../store/access"
require_relative "../../store/accounts"

module NutShelf
  module Api
    # A one-time link turned into belonging: to an account made here, or to the one somebody is signed in with.
    class Join < Base
      set :open_door, true

      post("/look") do
        json(
          invitation(body_as("JoinLook")[:token]).then do |found|
            { household: found.household_name, name: found.name, role: found.role, email: found.for_email }
          end
        )
      end

      post("/") do
        input = body_as("Join")
        found = invitation(input[:token])
        signed_in = found.for_account_id ? nil : env["nut_shelf.account_id"]
        hash = signed_in ? nil : password_hash(found, input)
        account = services.database.outside_at_once { |db| welcome(db, input, hash, signed_in) }
        env["nut_shelf.login"].call(account) unless signed_in
        env["nut_shelf.choose"].call(found.household_id)
        json({ joined: true })
      end

      helpers do
        def invitation(token)
          services.database.outside { |db| Store::Access.invitation(db, token) } || used_up
        end

        def used_up
          refuse("not_found", "This link was used, taken back or is too old.", "Ask a keeper for a new one.")
        end

        # Before the link is used up, and outside any transaction: hashing takes its time.
        def password_hash(found, input)
          unless found.for_account_id || input[:email]
            missing("/email", "An e-mail address is needed.", "Say where you can be reached.")
          end
          missing("/password", "A password is needed.", "Choose one.") unless input[:password]
          refuse_password(input[:password])
          Passwords.hash(input[:password])
        end

        def missing(pointer, title, remedy)
          refuse("invalid", title, remedy, errors: [{ pointer: pointer, detail: "It is missing." }])
        end

        def welcome(db, input, hash, signed_in)
          found = Store::Access.invitation(db, input[:token]) || used_up
          Store::Accounts.enter(db, found.household_id)
          refuse_member(db, signed_in, found) if signed_in
          refuse_known(db, input) unless signed_in || found.for_account_id
          # Two who hold the same link: only the first gets in.
          used_up if Store::Access.new(db, found.household_id).use_invitation(found.id).zero?
          Store::Households.new(db, found.household_id).bump
          return again(db, found.for_account_id, hash) if found.for_account_id

          belong(
            db,
            signed_in ||
              Store::Accounts.add(
                db,
                email: input[:email],
                name: (input[:name] || found.name).strip,
                password_hash: hash
              ),
            found
          )
        end

        def refuse_member(db, account, found)
          return unless Store::Households.membership(db, account,
            found.household_id)&.household_id == found.household_id

          refuse("taken", "You belong to #{found.household_name} already.", "Keep the link for somebody else.")
        end

        def refuse_known(db, input)
          return unless Store::Accounts.by_email(db, input[:email])

          refuse(
            "taken",
            "There is somebody with that e-mail address already.",
            "Sign in first, then open the link again: the same account may belong to several households."
          )
        end

        # After a restore: the account is there, its password is not.
        def again(db, id, hash)
          Store::Accounts.renew(db, id, hash)
          id
        end

        def belong(db, id, found)
          Store::Households.join(db, account_id: id, household_id: found.household_id, role: found.role)
          id
        end
      end
    end
  end
end
