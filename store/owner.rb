# frozen_string_literal: true

require "sequel"
require "uri"

module NutShelf
  module Store
    # What only the owner of the database does: make it, migrate it, give the app its role.
    module Owner
      APP_ROLE = "nut_shelf_app"
      # Any number that nobody else locks by.
      LOCK = 7_301_944
      MIGRATIONS = File.join(__dir__, "migrations")

      module_function

      # @param url [String] the owner's URL of a database that may not exist yet
      # @param app_password [String]
      # @return [String] the app's URL
      def prepare(url, app_password:)
        one_at_a_time(url) do |db|
          create(db, name_of(url))
          give_role(db, app_password)
        end
        Sequel.connect(url) { |db| migrate(db) }
        app_url(url, app_password)
      end

      # Brings a database to a migration, the latest unless said.
      def migrate(db, target = nil)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS, target: target)
      end

      # @param db [Sequel::Database] the server's maintenance database
      # @param name [String]
      def create(db, name)
        db.run("CREATE DATABASE #{db.literal(Sequel.identifier(name))}") unless db[:pg_database].first(datname: name)
      end

      # Drops a database, whoever is connected.
      def drop(url)
        one_at_a_time(url) do |db|
          db.run("DROP DATABASE IF EXISTS #{db.literal(Sequel.identifier(name_of(url)))} WITH (FORCE)")
        end
      end

      # Databases and roles are the whole server's: two that prepare at once on a new one would trip over each other.
      # SELECT pg_advisory_lock(...) in the maintenance database, let go with the connection
      def one_at_a_time(url)
        Sequel.connect(URI.parse(url).tap { |uri| uri.path = "/postgres" }.to_s, max_connections: 1) do |db|
          db.fetch("SELECT pg_advisory_lock(?)", LOCK).all
          yield db
        end
      end

      # @return [String] the database a URL names
      def name_of(url) = URI.parse(url).path.delete_prefix("/")

      # The app's role is neither owner nor superuser and may not step over row-level security.
      def give_role(db, password)
        exists = db[:pg_roles].first(rolname: APP_ROLE)
        db.run("CREATE ROLE #{APP_ROLE} LOGIN") unless exists
        db.run(
          "ALTER ROLE #{APP_ROLE} LOGIN NOSUPERUSER NOBYPASSRLS NOCREATEDB NOCREATEROLE PASSWORD " \
          "#{db.literal(password)}"
        )
      end

      # @return [String] the same database for the app's role
      def app_url(url, password)
        uri = URI.parse(url)
        uri.user = APP_ROLE
        uri.password = password
        uri.to_s
      end
    end
  end
end
