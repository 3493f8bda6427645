# frozen_string_literal: true

require "json"
require_relative "contract"
require_relative "../core/errors"
require_relative "../desk/errors"
require_relative "../store/errors"

module NutShelf
  module Api
    # Turns every error into a problem document (RFC 9457), in one place.
    module Problem
      STORE = { Store::NotEnough => "not_enough", Store::Taken => "taken", Store::Missing => "not_found", Store::Away => "database_away" }.freeze
      REMEDIES = { "not_enough" => "Look again: somebody may have taken some.", "not_found" => "Look at the list again.", "taken" => "Choose another.",
                   "database_away" => "What you typed is kept. It is sent as soon as the database is back." }.freeze

      module_function

      # @param error [Exception]
      # @return [Array(Integer, Hash)] status and document
      def from(error)
        case error
        when Desk::Error then desk(error)
        when *STORE.keys then store(error)
        when Core::MissingFigure then document("unknown_figure", error.message, error.remedy)
        when Core::Error then document("invalid", error.message, error.remedy || "Check what was said.")
        else document("server_error", "Something went wrong on our side.", "Try again. What you typed is still there.")
        end
      end

      def document(code, title, remedy, errors: [], **more)
        status = Contract::CODES.fetch(code)
        [status, { type: "about:blank", status: status, code: code, title: title, remedy: remedy, errors: errors, **more }]
      end

      def desk(error)
        errors = error.details[:errors] || (error.details[:pointer] ? [{ pointer: error.details[:pointer], detail: error.message }] : [])
        document(error.code, error.message, error.remedy, errors: errors, **error.details.slice(:act_id, :current))
      end

      def store(error)
        code = STORE.fetch(error.class)
        title = code == "database_away" ? "The database is away." : error.message
        document(code, title, REMEDIES.fetch(code))
      end

      # @return [Array] a Rack answer
      def answer(status, document) = [status, { "content-type" => "application/problem+json", "cache-control" => "no-store" }, [JSON.generate(document)]]
    end
  end
end
