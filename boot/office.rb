# frozen_string_literal: true

require "uri"
require_relative "clock"
require_relative "cluster"
require_relative "label_line"
require_relative "reference"
require_relative "settings"
require_relative "../desk/office"
require_relative "../store/database"
require_relative "../store/owner"

module NutShelf
  module Boot
    # Wires the house together: server, database, role, reference tables, clock.
    module Wiring
      module_function

      # Starts our own server if need be, makes and migrates the database.
      # @param name [String] database name, unless DATABASE_URL names one
      # @return [String] the app's URL
      def prepare(name)
        Store::Owner.prepare(owner_url(name), app_password: Settings.secret("database-app", 24))
      end

      def owner_url(name)
        return Settings.foreign_url if Settings.foreign_url

        cluster = Cluster.new
        stop_at_exit(cluster) if cluster.start
        cluster.url(name)
      end

      # What this process started it also stops.
      def stop_at_exit(cluster)
        starter = Process.pid
        at_exit { cluster.stop if Process.pid == starter }
      end

      # @param url [String] the app's URL
      # @return [Desk::Office]
      def office(url, connections: 8)
        Desk::Office.new(database: Store::Database.connect(url, connections: connections), catalog: Reference.catalog, clock: Clock, names: LabelLine.names, foreign_words: LabelLine.foreign_words)
      end
    end
  end
end
