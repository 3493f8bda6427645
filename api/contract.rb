# frozen_string_literal: true

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
      # Patterns mean the whole text, as the contract's readers elsewhere take them, not a line of it.
      SCHEMAS = JSONSchemer.openapi(DOCUMENT, regexp_resolver: "ecma")

      # Fault: a JSON pointer into what was sent, and what is wrong there. Frozen.
      Fault = Core::Value.of(:pointer, :detail)

      module_function

      # @param name [String] of a schema in the contract
      # @param body [Object] parsed JSON
      # @return [Array<Fault>] empty when it fits
      def faults(name, body)
        schema(name)
          .validate(body)
          .first(20)
          .map { |error| Fault.new(pointer: error["data_pointer"], detail: words(error)) }
      end

      def schema(name) = (@schemas ||= {})[name] ||= SCHEMAS.schema(name)

      def words(error)
        case error["type"]
        when "required"
          "#{error.dig("details", "missing_keys")&.join(", ")} is missing."
        when "schema"
          "#{error["data_pointer"].split("/").last} is not known here."
        when "enum"
          "It must be one of #{error.dig("schema", "enum").join(", ")}."
        when "pattern", "format"
          "It does not have the right form."
        when "string", "integer", "boolean", "array", "object"
          "It must be #{error["type"] =~ /\A[aeiou]/ ? "an" : "a"} #{error["type"]}."
        when "minLength", "maxLength"
          "It is too #{error["type"] == "minLength" ? "short" : "long"}."
        when "minimum", "maximum"
          "It must be #{error["type"] == "minimum" ? "at least" : "at most"} #{error.dig("schema", error["type"])}."
        else
          error["error"].to_s.sub(/\Avalue at .*? /, "It ")
        end
      end
    end
  end
end
