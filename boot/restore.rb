# frozen_string_literal: true

require "json"
require "json_schemer"
require_relative "clock"
require_relative "wiring"
require_relative "../desk/catch_up"
require_relative "../desk/kept"
require_relative "../store/backup"

module NutShelf
  module Boot
    # Brings a backup into an empty instance, trusting nothing in it: its form by the written schema, its letters by its
    # digest, its stock by its movements, its dates by the rules in force. All of it, or nothing with words why.
    module Restore
      SCHEMA = File.expand_path("../contract/backup.schema.json", __dir__)

      module_function

      # @param db [Sequel::Database] the owner's connection
      # @param text [String] the backup
      # @return [Integer] household id
      # @raise [Store::Backup::Unfit]
      def call(db, text)
        document = Store::Backup.parse(text)
        check_form(document)
        check_zone(document)
        Store::Backup.restore(db, text) { |id| date_anew(db, id) }
      end

      def check_form(document)
        schema = JSONSchemer.schema(JSON.parse(File.read(SCHEMA)), regexp_resolver: "ecma")
        fault = schema.validate(document).first or return
        raise Store::Backup::Unfit,
          "It has not the form of a backup, at #{fault["data_pointer"].empty? ? "its top" : fault["data_pointer"]}. " \
          "Nothing was taken in."
      end

      def check_zone(document)
        zone = document["household"]["time_zone"]
        return if Clock.zone_known?(zone)

        raise Store::Backup::Unfit, "There is no time zone #{zone}. Nothing was taken in."
      end

      # Stored dates are never taken on trust.
      def date_anew(db, id)
        services =
          Desk::Services.new(
            database: Store::Database.new(db),
            catalog: Reference.catalog,
            clock: Clock,
            names: [],
            foreign_words: {},
            tongues: Core::LabelLine::Tongues.new,
            marks: Marks.table,
            kept: Desk::Kept.new
          )
        Desk::CatchUp.new(services).household(id)
      rescue Desk::Error, Core::Error, ArgumentError, KeyError, NoMethodError, TypeError
        raise Store::Backup::Unfit, "What happened to one of its stacks cannot be read. Nothing was taken in."
      end
    end
  end
end
