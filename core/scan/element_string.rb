# frozen_string_literal: true

require "uri"
require_relative "check_digit"

module NutShelf
  module Core
    # Cuts a GS1 element string or Digital Link into identifiers and values, without judging the values.
    # Source: GS1 General Specifications (predefined lengths, separator), Digital Link standard (path and query).
    module ElementString
      SEPARATOR = "\u001D"
      PREFIX = /\A\](?:C1|e0|d2|Q3|J1)/
      FIXED = {
        "00" => 18, "01" => 14, "02" => 14, "03" => 14, "04" => 16, "11" => 6, "12" => 6, "13" => 6, "14" => 6,
        "15" => 6, "16" => 6, "17" => 6, "18" => 6, "19" => 6, "20" => 2, "41" => 13
      }.freeze
      MEASURE = /\A3[1-6]\d\d/
      OPEN = {
        "10" => 20, "21" => 20, "22" => 20, "30" => 8, "37" => 8, "235" => 28, "240" => 30, "241" => 30, "242" => 6,
        "243" => 20, "250" => 30, "251" => 30, "253" => 30, "254" => 20, "390" => 15, "391" => 18, "392" => 15,
        "393" => 18, "400" => 30, "403" => 30, "420" => 20, "421" => 12, "422" => 3, "423" => 15, "424" => 3,
        "425" => 15, "426" => 3, "427" => 3, "7003" => 10, "7004" => 4, "7005" => 12, "7006" => 6, "7007" => 12,
        "7008" => 3, "7009" => 10, "7010" => 2, "7030" => 30, "710" => 20, "711" => 20, "712" => 20, "713" => 20,
        "714" => 20, "8005" => 6, "8008" => 12, "8020" => 25, "8110" => 70, "90" => 30, "91" => 90, "92" => 90,
        "93" => 90, "94" => 90, "95" => 90, "96" => 90, "97" => 90, "98" => 90, "99" => 90
      }.freeze
      # The fourth digit of these says where the point stands.
      POINTED = /\A39[0-3]\d/
      LINK = %r{\Ahttps?://[^/\s]+/(?:\S*/)?01/(?:\d{14}|\d{13}|\d{12}|\d{8})(?=[/?#]|\z)}i
      BRACKET = /\((\d{2,4})\)/
      # Without prefix or brackets it is one when it begins with an item number that adds up, and goes on.
      PLAIN = /\A0[12](\d{14})\d{2}/

      module_function

      # @param text [String]
      # @return [Boolean]
      def like?(text)
        text.match?(PREFIX) || text.include?(SEPARATOR) || text.match?(/\A#{BRACKET}/o) || text.match?(LINK) ||
          (text.match?(PLAIN) && CheckDigit.valid?(text[PLAIN, 1]))
      end

      # @param text [String]
      # @return [Array(Array<Array(String, String)>, String)] identifiers with their values, and the rest nobody can cut
      def cut(text)
        return link(text) if text.match?(LINK)

        text = text.sub(PREFIX, "")
        text.match?(/\A#{BRACKET}/o) ? bracketed(text) : plain(text)
      end

      # @return [Array(Array<Array(String, String)>, String)] identifier and value of each part, and what was not read
      def bracketed(text)
        [text.split(/(?=\(\d{2,4}\))/).map { |part| [part[BRACKET, 1], part.sub(BRACKET, "").strip] }, ""]
      end

      # @return [Array(Array<Array(String, String)>, String)] identifier and value of each part, and what was not read
      def plain(text)
        elements = []
        until (text = text.delete_prefix(SEPARATOR)).empty?
          id, value, text = element(text)
          return elements, value if id.nil? && text.empty?

          elements << [id, value] if id
        end
        [elements, ""]
      end

      # One identifier, its value, and what follows. What is not known reaches to the next separator.
      def element(text)
        return text[0, 4], text[4, 6].to_s, text[10..].to_s if text.match?(MEASURE)

        id = FIXED.keys.find { |known| text.start_with?(known) }
        return fixed(text, id) if id

        id = text.match?(POINTED) ? text[0, 4] : OPEN.keys.find { |known| text.start_with?(known) }
        value, rest = text[(id || "").length..].split(SEPARATOR, 2)
        [id, value.to_s[0, OPEN[id] || OPEN[id.to_s[0, 3]] || 90], rest.to_s]
      end

      # These end by their length; three-digit locations (410 to 417) are one longer.
      def fixed(text, id)
        from = id == "41" ? 3 : 2
        [text[0, from], text[from, FIXED[id]].to_s, text[(from + FIXED[id])..].to_s]
      end

      # https://host/01/09506000134352/10/L7?17=261203
      def link(text)
        uri = URI.parse(text)
        path = uri.path.split("/").drop_while { |part| part != "01" }
        pairs = path.each_slice(2).select { |id, value| id.match?(/\A\d{2,4}\z/) && value }
        pairs += URI.decode_www_form(uri.query.to_s).select { |id, _| id.match?(/\A\d{2,4}\z/) }
        [pairs.map { |id, value| [id, URI.decode_www_form_component(value)] }, ""]
      rescue URI::InvalidURIError, ArgumentError
        [[["01", text[%r{/01/(\d+)}, 1]]], ""]
      end
    end
  end
end
