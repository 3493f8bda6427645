# frozen_string_literal: true

require "rack"
require "uri"
require_relative "problem"
require_relative "../core/limits"

module NutShelf
  module Api
    # First of all: refuses paths that could be read in two ways, queries that are no text, hosts that are not ours and
    # bodies beyond their limit, before anything else looks at them.
    class FrontDoor
      PLAIN = %r{\A/(?:[^/%\\]+(?:/[^/%\\]+)*)?\z}
      LOOPBACK = %w[localhost 127.0.0.1 [::1]].freeze

      # @param hosts [Array<String>] names people may ask for, besides the loopback ones
      def initialize(app, hosts: [])
        @app = app
        @hosts = [*LOOPBACK, *hosts].map(&:downcase).freeze
      end

      def call(env)
        fault = refused(env)
        fault ? Problem.answer(*fault) : @app.call(env)
      end

      private

      def refused(env)
        unless path?(env["PATH_INFO"].to_s)
          return Problem.document("not_found", "There is nothing here.", "Go back to the shelf.")
        end
        unless query?(env["QUERY_STRING"].to_s)
          return Problem.document("invalid", "The address cannot be read.", "Go back to the shelf.")
        end
        unless host?(env)
          return (
            Problem.document(
              "wrong_host",
              "This address is not known here.",
              "Open Nut Shelf by its own address, or let whoever runs it set NUT_SHELF_URL."
            )
          )
        end

        too_large(env)
      end

      # One spelling a path: no doubled, dotted, encoded or trailing slashes, and text throughout.
      def path?(path)
        decoded = URI.decode_www_form_component(path.gsub("+", "%2B"))
        path.match?(PLAIN) && text?(decoded) && !path.split("/").intersect?(%w[. ..])
      rescue ArgumentError
        false
      end

      def query?(query)
        query
          .split(/[&;]/)
          .map { |pair| pair.split("=", 2).map { |part| URI.decode_www_form_component(part) } }
          .all? { |name, value| text?(name.to_s) && text?(value.to_s) && !name.to_s.match?(/[\[\]]/) }
      rescue ArgumentError
        false
      end

      def text?(text) = text.dup.force_encoding("UTF-8").valid_encoding? && !text.include?("\0")

      def host?(env)
        name = env["HTTP_HOST"].to_s.downcase.sub(/:\d+\z/, "")
        @hosts.include?(name) || (name.empty? && env["HTTP_VERSION"] == "HTTP/1.0")
      end

      def too_large(env)
        limit = Core::Limits.body(env["PATH_INFO"])
        return if env["CONTENT_LENGTH"].to_i <= limit

        Problem.document("too_large", "That is more than is taken in at once (#{limit} bytes).", "Send less at a time.")
      end
    end
  end
end
