# frozen_string_literal: true

require "json"
require_relative "contract"
require_relative "problem"

module NutShelf
  module Api
    # Reads what was sent, at every door the same way: its weight, its letters, its form by the contract.
    module Body
      # `answer` is the status and the document that say what is wrong.
      class Refused < StandardError
        attr_reader :answer

        def initialize(code, title, remedy, **more)
          @answer = Problem.document(code, title, remedy, **more)
          super(title)
        end
      end

      NESTED = 20

      module_function

      # @param input [IO] the body
      # @param limit [Integer] bytes
      # @param schema [String] a schema of the contract that the body has to fit; no body counts as an empty object
      # @return [Object] parsed JSON that fits
      # @raise [Refused]
      def read(input, limit, schema)
        text = text(input, limit)
        fitting(JSON.parse(text.empty? ? "{}" : text, max_nesting: NESTED), schema)
      rescue JSON::ParserError
        raise Refused.new("bad_json", "What was sent is not JSON.", "Send it again.")
      end

      # @param parsed [Object] JSON
      # @return [Object] the same, when it fits
      # @raise [Refused]
      def fitting(parsed, schema)
        faults = Contract.faults(schema, parsed)
        return parsed if faults.empty?

        raise Refused.new(
          "invalid",
          "Some of that cannot be used as it is.",
          "Mend what is marked.",
          errors: faults.map(&:to_h)
        )
      end

      # @return [String] UTF-8 without NUL bytes
      # @raise [Refused]
      def text(input, limit)
        text = input&.read(limit + 1).to_s.dup.force_encoding("UTF-8")
        if text.bytesize > limit
          raise Refused.new("too_large", "That is more than is taken in at once.", "Send less at a time.")
        end
        unless text.valid_encoding?
          raise Refused.new("bad_json", "The letters that were sent are broken.", "Send it as UTF-8.")
        end
        if text.match?(/\u0000|\\u0000/)
          raise Refused.new("bad_json", "There is a NUL byte in what was sent.", "Take it out and send it again.")
        end

        text
      end
    end
  end
end
