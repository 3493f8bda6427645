# frozen_string_literal: true

require "json"
require_relative "contract"
require_relative "../core/errors"
require_relative "../core/work"
require_relative "../desk/errors"
require_relative "../store/errors"

module NutShelf
  module Api
    # Turns every error into a problem document (RFC 9457), in one place.
    module Problem
      STORE = {
        Store::Busy => "busy",
        Store::Full => "storage_full",
        Store::NotEnough => "not_enough",
        Store::Taken => "taken",
        Store::OutOfBounds => "invalid",
        Store::Missing => "not_found",
        Store::Away => "database_away"
      }.freeze
      REMEDIES = {
        "not_enough" => "Look again: somebody may have taken some.", "not_found" => "Look at the list again.",
        "taken" => "Choose another.", "invalid" => "Look through what you typed.",
        "busy" => "Wait a moment and try again.",
        "storage_full" => "Whoever runs this house has to make room. What you typed is kept.",
        "database_away" => "What you typed is kept. It is sent as soon as the database is back."
      }.freeze

      module_function

      # The same as `from`, and noted for whoever runs the house when it is ours.
      # @return [Array(Integer, Hash)] status and document
      def reported(error)
        status, document = from(error)
        warn(note(error)) if status == 500
        [status, document]
      end

      # What the log may say: no row a constraint refused, no hash of a password.
      def note(error)
        message = error.message.lines.first.to_s.strip.gsub(/\$argon2\S+/, "[hash]")
        "#{error.class}: #{message[0, 300]}\n#{error.backtrace.to_a.first(8).join("\n")}"
      end

      # @param error [Exception]
      # @return [Array(Integer, Hash)] status and document
      def from(error)
        case error
        when Desk::Error
          desk(error)
        when *STORE.keys
          store(error)
        when *Store::Translate::DRIVER
          database(error)
        when Core::MissingFigure
          document("unknown_figure", error.message, error.remedy)
        when Core::Work::Undone
          document("busy", "That takes longer than it may just now.", REMEDIES.fetch("busy"))
        when Core::Error
          document("invalid", error.message, error.remedy || "Check what was said.")
        else
          document("server_error", "Something went wrong on our side.", "Try again. What you typed is still there.")
        end
      end

      def database(error)
        Store::Translate.errors { raise error }
      rescue *STORE.keys => e
        store(e)
      rescue StandardError
        document("server_error", "Something went wrong on our side.", "Try again. What you typed is still there.")
      end

      def document(code, title, remedy, errors: [], **more)
        status = Contract::CODES.fetch(code)
        [
          status,
          { type: "about:blank", status: status, code: code, title: title, remedy: remedy, errors: errors, **more }
        ]
      end

      def desk(error)
        errors =
          error.details[:errors] ||
          (error.details[:pointer] ? [{ pointer: error.details[:pointer], detail: error.message }] : [])
        document(error.code, error.message, error.remedy, errors: errors,
**error.details.slice(:reason, :params, :act_id, :current))
      end

      def store(error)
        code = STORE.fetch(error.class)
        title = code == "database_away" ? "The database is away." : error.message
        document(code, title, REMEDIES.fetch(code))
      end

      # @return [Array] a Rack answer
      def answer(status, document)
        [
          status,
          { "content-type" => "application/problem+json", "cache-control" => "no-store" },
          [JSON.generate(document)]
        ]
      end
    end
  end
end
