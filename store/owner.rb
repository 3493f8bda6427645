# frozen_string_literal: true

require "sequel"

module NutShelf
  module Store
    # What only the owner of the database does: make it, migrate it, give the app its role.
    module Owner
      APP_ROLE = "nut_shelf_app"
      MIGRATIONS = File.join(__dir__, "migrations")

      module_function

      # @param url [String] the owner's URL of a database that may not exist yet
      # @param app_password [String]
      # @return [String] the app's URL
      def prepare(url, app_password:)
        create(url)
        Sequel.connect(url) do |db|
          give_role(db, app_password)
          migrate(db)
        end
        app_url(url, app_password)
      end

      def migrate(db, target = nil)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS, target: target)
      end

      def create(url)
        uri = URI.parse(url)
        name = uri.path.delete_prefix("/")
        maintenance = uri.dup.tap { |copy| copy.path = "/postgres" }.to_s
        Sequel.connect(maintenance) do |db|
          db.run("CREATE DATABASE #{db.literal(Sequel.identifier(name))}") unless db[:pg_database].first(datname: name)
        end
      end

      def drop(url)
        uri = URI.parse(url)
        name = uri.path.delete_prefix("/")
        Sequel.connect(uri.dup.tap { |copy| copy.path = "/postgres" }.to_s) do |db|
          db.run("DROP DATABASE IF EXISTS #{db.literal(Sequel.identifier(name))} WITH (FORCE)")
        end
      end

      # The app's role is neither owner nor superuser and may not step over row-level security.
      def give_role(db, password)
        exists = db[:pg_roles].first(rolname: APP_ROLE)
        db.run("CREATE ROLE #{APP_ROLE} LOGIN") unless exists
        db.run("ALTER ROLE #{APP_ROLE} LOGIN NOSUPERUSER NOBYPASSRLS NOCREATEDB NOCREATEROLE PASSWORD #{db.literal(password)}")
      end

      def app_url(url, password)
        uri = URI.parse(url)
        uri.user = APP_ROLE
        uri.password = password
        uri.to_s
      end
    end
  end
end
