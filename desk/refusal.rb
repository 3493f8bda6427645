# frozen_string_literal: true

require "date"
require "json"
require_relative "errors"

module NutShelf
  module Desk
    # Every refusal of the house by its name: who mends it (the kind of error), the code of the contract, and what it
    # says, with places for what it is about. The interface words the same list in its own way, so the list is part of
    # the contract.
    module Refusal
      ALL =
        JSON
          .parse(File.read(File.expand_path("../contract/refusals.json", __dir__)), freeze: true)
          .transform_keys(&:to_sym)
          .freeze
      KINDS = { "invalid" => Invalid, "conflict" => Conflict, "forbidden" => Forbidden }.freeze
      # What goes along with a refusal without being said in it.
      BESIDE = %i[act_id current errors].freeze

      module_function

      # @param name [Symbol] in contract/refusals.json
      # @param at [String, nil] JSON pointer to what was sent
      # @param told [Hash] what the sentence names (text, numbers, days), and any of BESIDE
      # @return [Error] to be raised
      # @raise [KeyError] for a name or a parameter the list does not know
      def of(name, at: nil, **told)
        refusal = ALL.fetch(name)
        params = told.except(*BESIDE).transform_values { |value| plain(value) }.freeze
        KINDS.fetch(refusal.fetch("kind")).new(
          format(refusal.fetch("title"), params),
          code: refusal.fetch("code"),
          remedy: format(refusal.fetch("remedy"), params),
          reason: name,
          params: params,
          **(at ? { pointer: at } : {}),
          **told.slice(*BESIDE)
        )
      end

      # @return [Numeric, String] as JSON has it; days as YYYY-MM-DD
      def plain(value) = value.is_a?(Numeric) ? value : value.to_s
    end
  end
end
