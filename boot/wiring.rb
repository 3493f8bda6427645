# frozen_string_literal: true

require "openssl"
require "uri"
require_relative "clock"
require_relative "cluster"
require_relative "label_line"
require_relative "marks"
require_relative "reference"
require_relative "settings"
require_relative "../desk/catch_up"
require_relative "../desk/kept"
require_relative "../desk/services"
require_relative "../devices/shop_feed"
require_relative "../store/database"
require_relative "../store/accounts"
require_relative "../store/owner"

module NutShelf
  module Boot
    # Wires the house together: server, database, role, reference tables, clock.
    module Wiring
      module_function

      # Starts our own server if need be, makes and migrates the database.
      # @param name [String] database name, unless DATABASE_URL names one
      # @return [String] the app's URL
      def prepare(name) = migrated(Settings.foreign_url || scratch_url(name))

      # @param owner_url [String]
      # @return [String] the app's URL of the migrated database
      def migrated(owner_url) = Store::Owner.prepare(owner_url, app_password: app_password(owner_url))

      # The app's role is the whole server's, so every instance on that server must give it the same password, or
      # the one that starts last locks the others out. It follows from what they all know, the owner's password,
      # and does not give that away (HMAC, RFC 2104). An owner let in without one leaves a secret of this machine.
      # @param owner_url [String]
      # @return [String]
      def app_password(owner_url)
        known = URI.parse(owner_url).password.to_s
        return Settings.secret("database-app", 24) if known.empty?

        OpenSSL::HMAC.hexdigest("SHA256", known, Store::Owner::APP_ROLE)
      end

      # The owner's URL of a database that specs and benches may drop: never the one DATABASE_URL names.
      # @param name [String] database name
      def scratch_url(name)
        return URI.parse(Settings.foreign_url).tap { |uri| uri.path = "/#{name}" }.to_s if Settings.foreign_url

        cluster = Cluster.new
        stop_at_exit(cluster) if cluster.start
        cluster.url(name)
      end

      # What this process started it also stops.
      def stop_at_exit(cluster)
        starter = Process.pid
        at_exit { cluster.stop if Process.pid == starter }
      end

      # Dates anew what older rules dated, or what a backup brought.
      # @param url [String] the app's URL
      def catch_up(url)
        services = services(url, connections: 2)
        Desk::CatchUp.new(services).call
      ensure
        services&.database&.disconnect
      end

      # @param path [String] of a file of made-up shops
      # @return [Devices::ShopFeed] the stand-in for a real one
      def shop_feed(path) = Devices::ShopFeed.read(File.read(path))

      # @param url [String] the app's URL
      # @param shop_feed [#on_shelf] what shops say they have
      # @return [Desk::Services]
      def services(url, connections: 8, work: Core::Work::Here, shop_feed: Core::NoShopSays)
        Desk::Services.new(
          work: work,
          shop_feed: shop_feed,
          database: Store::Database.connect(url, connections: connections),
          catalog: Reference.catalog,
          clock: Clock,
          names: LabelLine.names,
          foreign_words: LabelLine.foreign_words,
          tongues: LabelLine.tongues,
          marks: Marks.table,
          kept: Desk::Kept.new
        )
      end
    end
  end
end
