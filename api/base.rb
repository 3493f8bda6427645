# frozen_string_literal: true

require "digest"
require "json"
require "time"
require "sinatra/base"
require_relative "contract"
require_relative "../core/limits"
require_relative "body"
require_relative "problem"
require_relative "../desk/envelope"
require_relative "../desk/services"
require_relative "../desk/unit_of_work"
require_relative "views/touched"

module NutShelf
  module Api
    # What every resource shares: who asks, reading and checking what was sent, answering, errors.
    class Base < Sinatra::Base
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :protection, false
      set :host_authorization, { permitted_hosts: [] }
      set :logging, false
      set :services, nil
      set :open_door, false

      KEY = /\A[A-Za-z0-9_-]{8,100}\z/

      error do
        error = env["sinatra.error"]
        halt Problem.answer(*Problem.reported(error))
      end

      # A refusal that has its own words keeps them.
      not_found do
        next response.body if response["content-type"].to_s.start_with?("application/problem+json")

        halt Problem.answer(*Problem.document("not_found", "There is nothing here.", "Go back to the shelf."))
      end

      # Fail closed: what did not pass the guard is not served, whatever the address was.
      before do
        refuse("signed_out", "You are not signed in.", "Sign in and try again.") unless env["nut_shelf.guarded"]
        caller! unless settings.open_door
      end

      helpers do
        def services = settings.services

        # @return [Desk::Caller]
        def caller!
          @caller ||=
            begin
              account = env["nut_shelf.account_id"] or
                refuse("signed_out", "You are not signed in.", "Sign in and try again.")
              member =
                services.database.outside do |db|
                  Store::Households.membership(db, account, env["nut_shelf.household_id"])
                end
              member or refuse("signed_out", "This account belongs to no household.", "Ask a keeper for an invitation.")
              Desk::Caller.new(account_id: account, household_id: member.household_id, role: member.role)
            end
        end

        def refuse(code, title, remedy, **more) = halt(Problem.answer(*Problem.document(code, title, remedy, **more)))

        def refuse_password(password)
          fault = Passwords.fault(password) or return
          refuse(
            "invalid",
            "That password is too easy to guess.",
            "Choose another one.",
            errors: [{ pointer: "/password", detail: fault }]
          )
        end

        # Parses and checks the body against a schema of the contract.
        # @return [Hash] symbols as keys
        def body_as(schema)
          deep_symbols(Body.read(request.body, Core::Limits.body(request.path), schema))
        rescue Body::Refused => e
          halt Problem.answer(*e.answer)
        end

        # @param input [Hash] a part of a body that has a schema of its own
        def fitting(input, schema)
          Body.fitting(JSON.parse(JSON.generate(input)), schema)
        rescue Body::Refused => e
          halt Problem.answer(*e.answer)
        end

        def deep_symbols(value)
          case value
          when Hash
            value.to_h { |name, inner| [name.to_sym, deep_symbols(inner)] }
          when Array
            value.map { |inner| deep_symbols(inner) }
          else
            value
          end
        end

        def id_param(name = :id)
          text = params[name].to_s
          if text.match?(/\A[1-9]\d{0,17}\z/)
            text.to_i
          else
            refuse("not_found", "There is no such thing here.", "Look at the list again.")
          end
        end

        def key!
          key = request.get_header("HTTP_IDEMPOTENCY_KEY").to_s
          if key.match?(KEY)
            key
          else
            refuse(
              "key_missing",
              "An Idempotency-Key of 8 to 100 letters or digits is needed.",
              "Send one key for each intent, and the same one when trying again."
            )
          end
        end

        def day_param(name)
          text = params[name] or return
          day = Date.iso8601(text.to_s)
          raise Date::Error unless Contract::YEARS.cover?(day.year)

          day
        rescue Date::Error
          refuse(
            "invalid",
            "#{name} is no day.",
            "Write it like 2026-11-24.",
            errors: [{ pointer: "/#{name}", detail: "It must be a day like 2026-11-24." }]
          )
        end

        # Whoever asks says what time it is there: a device's clock stands beside the fridge.
        # @return [Time] UTC
        def moment_param(name)
          params[name] ? Time.iso8601(params[name].to_s).utc : Time.now.utc
        rescue ArgumentError
          refuse(
            "invalid",
            "#{name} is no moment.",
            "Write it like 2026-11-27T20:00:00Z.",
            errors: [{ pointer: "/#{name}", detail: "It must be a moment like 2026-11-27T20:00:00Z." }]
          )
        end

        def number_param(name, default, range)
          text = params[name] or return default
          number = Integer(text.to_s, 10, exception: false)
          return number if number && range.cover?(number)

          refuse(
            "invalid",
            "#{name} cannot be used.",
            "It must lie within #{range}.",
            errors: [{ pointer: "/#{name}", detail: "It must lie within #{range}." }]
          )
        end

        def act(klass, input)
          json klass.new(services, caller!).call(input, key: key!, envelope: envelope)
        end

        # An act on stacks: its answer carries them as they are now, so that nothing else has to be asked for.
        def act_on_stacks(klass, input)
          answer = klass.new(services, caller!).call(input, key: key!, envelope: envelope)
          json services
            .database
            .within(caller!.household_id) { |db|
              { **answer, touched: Touched.new(Desk::UnitOfWork.new(services, caller!, db)).by(answer["act_id"]) }
            }
        end

        # When and where it was done, as the device wrote it on the letter.
        def envelope
          Desk::Envelope.read(
            **{ device: "DEVICE", sequence: "SEQUENCE", on: "ON", held: "HELD" }.transform_values do |name|
              request.get_header("HTTP_ACT_#{name}")
            end
          )
        end

        # A read: one transaction that sees one moment, and nothing but a small query when nothing it reads of changed.
        # @param topics [Array<Symbol>] what it reads of (see Store::Topics); none: everything
        def view(*topics)
          caller = caller!
          services.database.still(caller.household_id) do |db|
            work = Desk::UnitOfWork.new(services, caller, db, still: true)
            tag(work, caller, topics)
            json yield(work)
          end
        end

        # A photograph as a file.
        def picture(photo)
          content_type photo.media_type
          headers "cache-control" => "private, max-age=60", "x-content-type-options" => "nosniff"
          photo.bytes.to_s
        end

        # Reads without a tag: what is answered is no view.
        def read_only
          services.database.still(caller!.household_id) do |db|
            yield Desk::UnitOfWork.new(services, caller!, db, still: true)
          end
        end

        def tag(work, caller, topics)
          read = topics.empty? ? work.household.revision : Store::Topics.revisions(work.household, topics)
          mark = [
            *read,
            caller.household_id,
            caller.account_id,
            work.today,
            caller.role,
            Base.build_stamp,
            request.fullpath
          ].join("|")
          etag Digest::SHA256.hexdigest(mark)[0, 32], kind: :weak
          headers "cache-control" => "private, no-cache"
        end

        def json(value)
          content_type :json
          JSON.generate(value)
        end
      end

      class << self
        attr_accessor :build_stamp
      end
    end
  end
end
