# frozen_string_literal: true

require_relative "case_file"
require_relative "kit_cases/before_cases"
require_relative "kit_cases/box_cases"
require_relative "kit_cases/closing_cases"
require_relative "kit_cases/endurance_case"
require_relative "kit_cases/menu_cases"
require_relative "kit_cases/outage_case"
require_relative "kit_cases/shelf_cases"

module NutShelf
  module Exchange
    # Reads questions about kits, the hours before an event, endurance and the power cut from JSON, so that anybody can
    # try them on figures of their own (docs/kits.md shows the fields by kind), and writes what the house would say.
    class KitsFile < CaseFile
      KINDS = {
        "needs" => KitCases::NeedsCase, "gives" => KitCases::GivesCase, "counts" => KitCases::CountsCase,
        "gap" => KitCases::GapCase, "close" => KitCases::CloseCase, "checks" => KitCases::ChecksCase,
        "menu" => KitCases::MenuCase, "boxes" => KitCases::BoxesCase, "refresh" => KitCases::RefreshCase,
        "floor" => KitCases::FloorCase, "tasks" => KitCases::TasksCase, "fresh" => KitCases::FreshCase,
        "stretch" => KitCases::StretchCase, "endurance" => KitCases::EnduranceCase,
        "outage" => KitCases::OutageCase
      }.freeze

      # @param text [String]
      # @param catalog [Core::Catalog]
      # @raise [Unreadable]
      def initialize(text, catalog:)
        super(text)
        @catalog = catalog
      end

      # @yieldparam [Unreadable] what is wrong with a case, which is then left out; without a block the first ends it
      # @return [Hash{String=>Hash}] by id, in the order of the file, ready for JSON
      # @raise [Unreadable] naming the case and the field
      def answers(&fault)
        by_id(fault) do |one|
          given = Case.new(one["id"].to_s, one["input"])
          kind = KINDS[one["kind"]] || given.bad("kind", one["kind"], "Use one of #{KINDS.keys.join(", ")}.")
          told_of(kind.new(given, @catalog), given)
        end
      end
    end
  end
end
