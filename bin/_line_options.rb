# frozen_string_literal: true

require "date"
require "json"
require "optparse"
require_relative "../boot/label_line"

# What bin/label-line and bin/read-list have in common: whose lines these are.
module LineOptions
  module_function

  # @param arguments [Array<String>] what is an option is taken out
  # @return [Array(Date, Hash)] the day to count from, and :places, :languages and the household's habits
  def read(arguments)
    today = Date.iso8601(ENV.fetch("NUT_SHELF_TODAY", Date.today.iso8601))
    chosen = { places: NutShelf::Boot::LabelLine.demo_places, languages: ["en"] }
    OptionParser
      .new do |options|
        options.on("--today DATE", "the day to count from (2026-11-24)") { |text| today = Date.iso8601(text) }
        options.on("--places FILE", "JSON list of the places' names; the demo's without it") do |path|
          chosen[:places] = NutShelf::Boot::LabelLine.places(File.read(path))
        end
        options.on("--measures WHICH", %w[metric us imperial], "whose cups, pints and gallons") do |name|
          chosen[:measures] = NutShelf::Core::LabelLine::Units::MEASURES.fetch(name)
        end
        options.on("--day-order ORDER", %w[dmy mdy], "dmy or mdy") { |order| chosen[:day_order] = order.to_sym }
        options.on("--currency CODE", "ISO code of the household's money") { |code| chosen[:currency] = code.upcase }
        options.on("--languages LIST", Array, "languages of the household: en, de, fr, es") do |list|
          chosen[:languages] = ["en", *list].uniq
        end
      end
      .parse!(arguments)
    refuse_unknown(chosen[:languages])
    [today, chosen]
  rescue OptionParser::ParseError, Date::Error, JSON::ParserError, SystemCallError => e
    abort "#{e.message.lines.first.strip}. See the head of the command for what it takes."
  end

  def refuse_unknown(languages)
    known = NutShelf::Boot::LabelLine.tongues.known
    unknown = languages - known
    abort "No words are known of #{unknown.join(", ")}. Use #{known.join(", ")}." if unknown.any?
  end
end
