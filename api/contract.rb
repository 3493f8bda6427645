# frozen_string_literal: true

require "date"
require "json_schemer"
require "yaml"
require_relative "../core/value"

module NutShelf
  module Api
    # The written contract, used at the door: every body and query is checked against it before an act sees it.
    module Contract
      FOLDER = File.expand_path("../contract", __dir__)
      DOCUMENT = YAML.safe_load_file(File.join(FOLDER, "openapi.yaml"), aliases: true).freeze
      CODES = YAML.safe_load_file(File.join(FOLDER, "error_codes.yaml")).freeze
      # Before this nothing in a house was packed, after that nobody will open it; some days are none for a database.
      YEARS = (1900..2199)
      # A day of the calendar within those years, wherever a body names one.
      DAY =
        lambda do |text, _format|
          next true unless text.is_a?(String)

          text.match?(/\A\d{4}-\d{2}-\d{2}\z/) && YEARS.cover?(Date.iso8601(text).year)
        rescue Date::Error
          false
        end
      # Patterns mean the whole text, as the contract's readers elsewhere take them, not a line of it.
      SCHEMAS = JSONSchemer.openapi(DOCUMENT, regexp_resolver: "ecma", formats: { "date" => DAY })

      # Fault: a JSON pointer into what was sent, what is wrong there as a code with its parameters, and in words for
      # whoever has none of their own. Frozen.
      Fault = Core::Value.of(:pointer, :code, :detail, params: {}.freeze)

      module_function

      # @param name [String] of a schema in the contract
      # @param body [Object] parsed JSON
      # @return [Array<Fault>] empty when it fits
      def faults(name, body)
        schema(name)
          .validate(body)
          .first(20)
          .flat_map { |error| read(error) }
      end

      def schema(name) = (@schemas ||= {})[name] ||= SCHEMAS.schema(name)

      # @param error [Hash] of the validator
      # @return [Array<Fault>] what is missing stands where it should be
      def read(error)
        at = error["data_pointer"]
        schema = error["schema"]
        case error["type"]
        when "required"
          error.dig("details", "missing_keys").to_a.map { |name| fault("#{at}/#{name}", "missing") }
        when "schema" then [fault(at, "unknown")]
        when "enum" then [fault(at, "choice", one_of: schema["enum"].join(", "))]
        when "pattern" then [fault(at, schema["pattern"].include?("[0-9]") ? "number" : "form")]
        when "format" then [fault(at, schema["format"] == "date" ? "day" : "form")]
        when "minLength" then [fault(at, "short", least: schema["minLength"])]
        when "maxLength" then [fault(at, "long", most: schema["maxLength"])]
        when "minimum" then [fault(at, "least", least: schema["minimum"])]
        when "maximum" then [fault(at, "most", most: schema["maximum"])]
        when *KINDS then [fault(at, "kind", kind: error["type"])]
        else [fault(at, "form")]
        end
      end

      KINDS = %w[string integer boolean array object].freeze
      WORDS = {
        "missing" => "It is missing.", "unknown" => "It is not known here.",
        "choice" => "It must be one of %<one_of>s.",
        "number" => "It must be a number like 1.5, with up to six decimals.",
        "day" => "It must be a day like 2026-11-24.",
        "form" => "It does not have the right form.", "short" => "It needs at least %<least>d characters.",
        "long" => "It may have %<most>d characters.", "least" => "It must be at least %<least>d.",
        "most" => "It must be at most %<most>d.", "kind" => "It must be of another kind: %<kind>s."
      }.freeze

      # @param code [String] of WORDS
      # @return [Fault]
      def fault(pointer, code, **params)
        detail = format(WORDS.fetch(code), **params)
        Fault.new(pointer: pointer, code: code, params: params.transform_keys(&:to_s), detail: detail)
      end
    end
  end
end
